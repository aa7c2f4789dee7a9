PRAGMA foreign_keys=OFF;--> statement-breakpoint
ALTER TABLE `survey_cards` RENAME TO `inspection_cards`;--> statement-breakpoint
DROP INDEX `survey_cards_build`;--> statement-breakpoint
CREATE INDEX `inspection_cards_build` ON `inspection_cards` (`build`);--> statement-breakpoint
ALTER TABLE `left_slips` RENAME TO `left_mismatches`;--> statement-breakpoint
DROP INDEX `left_slips_build`;--> statement-breakpoint
DROP INDEX `left_slips_zone`;--> statement-breakpoint
CREATE INDEX `left_mismatches_build` ON `left_mismatches` (`build`);--> statement-breakpoint
CREATE INDEX `left_mismatches_zone` ON `left_mismatches` (`zone`);--> statement-breakpoint
ALTER TABLE `watches` RENAME TO `waiting_parts`;--> statement-breakpoint
ALTER TABLE `make_ups` RENAME TO `buying_plans`;--> statement-breakpoint
-- Preferences and price lists stay; what was found is found again, since its records had other names.
UPDATE `buying_plans` SET `saved` = json_set(`saved`, '$.asked', json('null'));--> statement-breakpoint
DELETE FROM `build_summaries`;--> statement-breakpoint
CREATE TABLE `fading_grades` (
	`id` text PRIMARY KEY NOT NULL,
	`from` text NOT NULL
);--> statement-breakpoint
CREATE TABLE `simulated_clock` (
	`id` text PRIMARY KEY NOT NULL,
	`days_ahead` integer NOT NULL
);--> statement-breakpoint
CREATE TABLE `claim_ranks` (
	`id` text PRIMARY KEY NOT NULL,
	`rank` integer NOT NULL
);--> statement-breakpoint
CREATE TABLE `build_sources` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`boxes_only` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);--> statement-breakpoint
CREATE INDEX `build_sources_build` ON `build_sources` (`build`);--> statement-breakpoint
INSERT INTO `fading_grades`(`id`, `from`) SELECT 'fading', `values` FROM `settings` WHERE `id` = 'fading' AND json_array_length(`values`) = 4;--> statement-breakpoint
INSERT INTO `simulated_clock`(`id`, `days_ahead`) SELECT 'clock', max(0, CAST(json_extract(`values`, '$[0]') AS INTEGER)) FROM `settings` WHERE `id` = 'clock' AND json_array_length(`values`) > 0;--> statement-breakpoint
INSERT INTO `claim_ranks`(`id`, `rank`) SELECT substr(`id`, 6), CAST(json_extract(`values`, '$[0]') AS INTEGER) FROM `settings` WHERE `id` GLOB 'rank:?*' AND json_array_length(`values`) > 0;--> statement-breakpoint
INSERT INTO `build_sources`(`id`, `build`, `boxes_only`) SELECT substr(`id`, 6), substr(`id`, 6), json_extract(`values`, '$[0]') = 1 FROM `settings` WHERE `id` GLOB 'pool:?*' AND json_array_length(`values`) > 0 AND substr(`id`, 6) IN (SELECT `id` FROM `builds`);--> statement-breakpoint
DROP TABLE `settings`;--> statement-breakpoint
ALTER TABLE `entries` RENAME COLUMN `line` TO `split_from`;--> statement-breakpoint
ALTER TABLE `entries` ADD `loan` text;--> statement-breakpoint
UPDATE `entries` SET `loan` = `split_from`, `split_from` = NULL WHERE `build` IS NULL AND `split_from` IS NOT NULL;--> statement-breakpoint
UPDATE `entries` SET `kind` = CASE `kind` WHEN 'refresh' THEN 'renew' WHEN 'stand-in' THEN 'placeholder' WHEN 'made-good' THEN 'replace-missing' ELSE 'add-stock' END WHERE `kind` IN ('refresh', 'stand-in', 'made-good', 'stock');--> statement-breakpoint
UPDATE `entries` SET `why` = 'mismatch' WHERE `why` = 'slip';--> statement-breakpoint
UPDATE `findings` SET `kind` = 'mismatch' WHERE `kind` = 'slip';--> statement-breakpoint
CREATE TABLE `__new_accounts` (
	`id` text PRIMARY KEY NOT NULL,
	`place` text NOT NULL,
	`zone` text,
	`tray` text,
	`copy` text,
	`order_id` text,
	`build` text,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`tray`) REFERENCES `trays`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`copy`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE set null,
	CONSTRAINT "accounts_owner" CHECK(case "__new_accounts"."place"
        when 'model' then "__new_accounts"."zone" is null or "__new_accounts"."id" = 'model:' || "__new_accounts"."zone"
        when 'stock' then "__new_accounts"."tray" is null or "__new_accounts"."id" = 'stock:' || "__new_accounts"."tray"
        when 'shipped' then "__new_accounts"."copy" is null or "__new_accounts"."id" = 'shipped:' || "__new_accounts"."copy"
        when 'donor' then "__new_accounts"."copy" is null or "__new_accounts"."id" = 'donor:' || "__new_accounts"."copy"
        when 'order' then "__new_accounts"."order_id" is null or "__new_accounts"."id" = 'order:' || "__new_accounts"."order_id"
        when 'spares' then "__new_accounts"."build" is null or "__new_accounts"."id" = 'spares:' || "__new_accounts"."build"
        when 'gone' then substr("__new_accounts"."id", 1, 5) = 'gone:'
        when 'outside' then "__new_accounts"."id" = 'outside'
        else 0 end)
);--> statement-breakpoint
INSERT INTO `__new_accounts`(`id`, `place`, `zone`, `tray`, `copy`, `order_id`, `build`) SELECT CASE `place` WHEN 'stores' THEN 'stock:' || substr(`id`, 8) ELSE `id` END, CASE `place` WHEN 'stores' THEN 'stock' ELSE `place` END, `zone`, `tray`, `copy`, `order_id`, `build` FROM `accounts`;--> statement-breakpoint
DROP TABLE `accounts`;--> statement-breakpoint
ALTER TABLE `__new_accounts` RENAME TO `accounts`;--> statement-breakpoint
UPDATE `movements` SET `from_account` = 'stock:' || substr(`from_account`, 8) WHERE `from_account` GLOB 'stores:*';--> statement-breakpoint
UPDATE `movements` SET `to_account` = 'stock:' || substr(`to_account`, 8) WHERE `to_account` GLOB 'stores:*';--> statement-breakpoint
UPDATE `readings` SET `account` = 'stock:' || substr(`account`, 8) WHERE `account` GLOB 'stores:*';--> statement-breakpoint
UPDATE `whitenings` SET `account` = 'stock:' || substr(`account`, 8) WHERE `account` GLOB 'stores:*';--> statement-breakpoint
UPDATE `kept_assemblies` SET `account` = 'stock:' || substr(`account`, 8) WHERE `account` GLOB 'stores:*';--> statement-breakpoint
UPDATE `hidden_truths` SET `account` = 'stock:' || substr(`account`, 8) WHERE `account` GLOB 'stores:*';--> statement-breakpoint
UPDATE `column_memories` SET `id` = 'stock' || substr(`id`, 7) WHERE `id` GLOB 'stores *';--> statement-breakpoint
UPDATE `actions` SET `scope` = 'stock' WHERE `scope` = 'stores';--> statement-breakpoint
UPDATE `action_scopes` SET `scope` = 'stock' WHERE `scope` = 'stores';--> statement-breakpoint
PRAGMA foreign_keys=ON;
