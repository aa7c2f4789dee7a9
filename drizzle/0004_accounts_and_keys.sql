CREATE TABLE `accounts` (
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
	CONSTRAINT "accounts_owner" CHECK(case "accounts"."place"
        when 'model' then "accounts"."zone" is null or "accounts"."id" = 'model:' || "accounts"."zone"
        when 'stores' then "accounts"."tray" is null or "accounts"."id" = 'stores:' || "accounts"."tray"
        when 'shipped' then "accounts"."copy" is null or "accounts"."id" = 'shipped:' || "accounts"."copy"
        when 'donor' then "accounts"."copy" is null or "accounts"."id" = 'donor:' || "accounts"."copy"
        when 'order' then "accounts"."order_id" is null or "accounts"."id" = 'order:' || "accounts"."order_id"
        when 'spares' then "accounts"."build" is null or "accounts"."id" = 'spares:' || "accounts"."build"
        when 'gone' then substr("accounts"."id", 1, 5) = 'gone:'
        when 'outside' then "accounts"."id" = 'outside'
        else 0 end)
);
--> statement-breakpoint
UPDATE `zones` SET `parent` = (SELECT r.id FROM zones r WHERE r.build = zones.build AND r.parent IS NULL LIMIT 1) WHERE `parent` IS NOT NULL AND `parent` NOT IN (SELECT id FROM zones);--> statement-breakpoint
INSERT INTO `builds`(`id`, `name`, `note`, `created_at`, `archived`) SELECT id, 'Found again', '', '2026-01-01T00:00:00.000Z', 0 FROM (SELECT substr(a, 8) AS id, min(b) AS build FROM (SELECT a, element, grade, sum(CASE WHEN state = 'done' THEN q ELSE 0 END) AS s, max(state = 'planned') AS p, min(build) AS b FROM (SELECT m.to_account AS a, m.element, m.grade, m.qty AS q, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry UNION ALL SELECT m.from_account, m.element, m.grade, -m.qty, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry) WHERE a GLOB 'spares:*' AND substr(a, 8) NOT IN (SELECT id FROM builds) GROUP BY a, element, grade) GROUP BY a HAVING max(s <> 0 OR p));--> statement-breakpoint
INSERT INTO `trays`(`id`, `name`, `place`, `position`) SELECT id, 'Found again', '', 9999 FROM (SELECT substr(a, 8) AS id, min(b) AS build FROM (SELECT a, element, grade, sum(CASE WHEN state = 'done' THEN q ELSE 0 END) AS s, max(state = 'planned') AS p, min(build) AS b FROM (SELECT m.to_account AS a, m.element, m.grade, m.qty AS q, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry UNION ALL SELECT m.from_account, m.element, m.grade, -m.qty, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry) WHERE a GLOB 'stores:*' AND substr(a, 8) NOT IN (SELECT id FROM trays) GROUP BY a, element, grade) GROUP BY a HAVING max(s <> 0 OR p));--> statement-breakpoint
INSERT INTO `zones`(`id`, `build`, `parent`, `name`, `position`) SELECT id, build, (SELECT r.id FROM zones r WHERE r.build = o.build AND r.parent IS NULL LIMIT 1), 'Found again', 9999 FROM (SELECT substr(a, 7) AS id, min(b) AS build FROM (SELECT a, element, grade, sum(CASE WHEN state = 'done' THEN q ELSE 0 END) AS s, max(state = 'planned') AS p, min(build) AS b FROM (SELECT m.to_account AS a, m.element, m.grade, m.qty AS q, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry UNION ALL SELECT m.from_account, m.element, m.grade, -m.qty, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry) WHERE a GLOB 'model:*' AND substr(a, 7) NOT IN (SELECT id FROM zones) GROUP BY a, element, grade) GROUP BY a HAVING max(s <> 0 OR p)) o;--> statement-breakpoint
INSERT INTO `copies`(`id`, `build`, `set_name`, `set_code`, `condition`, `role`, `price`) SELECT id, build, 'Found again', '', 'second-hand', 'donor', 0 FROM (SELECT substr(a, 7) AS id, min(b) AS build FROM (SELECT a, element, grade, sum(CASE WHEN state = 'done' THEN q ELSE 0 END) AS s, max(state = 'planned') AS p, min(build) AS b FROM (SELECT m.to_account AS a, m.element, m.grade, m.qty AS q, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry UNION ALL SELECT m.from_account, m.element, m.grade, -m.qty, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry) WHERE a GLOB 'donor:*' AND substr(a, 7) NOT IN (SELECT id FROM copies) GROUP BY a, element, grade) GROUP BY a HAVING max(s <> 0 OR p));--> statement-breakpoint
INSERT INTO `orders`(`id`, `build`, `seller`, `postage`, `due`, `placed_at`) SELECT id, build, 'Found again', 0, '', '' FROM (SELECT substr(a, 7) AS id, min(b) AS build FROM (SELECT a, element, grade, sum(CASE WHEN state = 'done' THEN q ELSE 0 END) AS s, max(state = 'planned') AS p, min(build) AS b FROM (SELECT m.to_account AS a, m.element, m.grade, m.qty AS q, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry UNION ALL SELECT m.from_account, m.element, m.grade, -m.qty, e.state, e.build FROM movements m JOIN entries e ON e.id = m.entry) WHERE a GLOB 'order:*' AND substr(a, 7) NOT IN (SELECT id FROM orders) GROUP BY a, element, grade) GROUP BY a HAVING max(s <> 0 OR p));--> statement-breakpoint
INSERT INTO `accounts`(`id`, `place`, `zone`) SELECT 'model:' || id, 'model', id FROM `zones`;--> statement-breakpoint
INSERT INTO `accounts`(`id`, `place`, `tray`) SELECT 'stores:' || id, 'stores', id FROM `trays`;--> statement-breakpoint
INSERT INTO `accounts`(`id`, `place`, `copy`) SELECT 'shipped:' || id, 'shipped', id FROM `copies`;--> statement-breakpoint
INSERT INTO `accounts`(`id`, `place`, `copy`) SELECT 'donor:' || id, 'donor', id FROM `copies`;--> statement-breakpoint
INSERT INTO `accounts`(`id`, `place`, `order_id`) SELECT 'order:' || id, 'order', id FROM `orders`;--> statement-breakpoint
INSERT INTO `accounts`(`id`, `place`, `build`) SELECT 'spares:' || id, 'spares', id FROM `builds`;--> statement-breakpoint
INSERT OR IGNORE INTO `accounts`(`id`, `place`) SELECT id, CASE WHEN instr(id, ':') > 0 THEN substr(id, 1, instr(id, ':') - 1) ELSE id END FROM (SELECT from_account AS id FROM movements UNION SELECT to_account FROM movements UNION SELECT account FROM readings UNION SELECT account FROM whitenings UNION SELECT account FROM kept_assemblies);
--> statement-breakpoint
ALTER TABLE `modifications` ADD `purpose` text;--> statement-breakpoint
UPDATE `modifications` SET `purpose` = 'count' WHERE `title` = 'Count it in';--> statement-breakpoint
CREATE INDEX `modifications_zone` ON `modifications` (`zone`);--> statement-breakpoint
CREATE INDEX `modifications_phase` ON `modifications` (`phase`);--> statement-breakpoint
ALTER TABLE `entries` ADD `counted` text REFERENCES count_lines(id);--> statement-breakpoint
UPDATE `entries` SET `counted` = substr(`note`, 9), `note` = '' WHERE `kind` IN ('missing', 'regrade') AND `note` GLOB 'counted *' AND substr(`note`, 9) IN (SELECT id FROM count_lines);--> statement-breakpoint
CREATE INDEX `entries_modification` ON `entries` (`modification`);--> statement-breakpoint
CREATE INDEX `entries_order` ON `entries` (`order_id`);--> statement-breakpoint
CREATE INDEX `entries_counted` ON `entries` (`counted`);--> statement-breakpoint
CREATE INDEX `entries_what_if` ON `entries` (`what_if`);--> statement-breakpoint
CREATE INDEX `entries_assembly` ON `entries` (`assembly`);--> statement-breakpoint
ALTER TABLE `changes` ADD `content` text;--> statement-breakpoint
CREATE INDEX `changes_action` ON `changes` (`action`);--> statement-breakpoint
CREATE INDEX `assemblies_build` ON `assemblies` (`build`);--> statement-breakpoint
CREATE INDEX `copies_build` ON `copies` (`build`);--> statement-breakpoint
CREATE INDEX `orders_build` ON `orders` (`build`);--> statement-breakpoint
CREATE INDEX `phases_build` ON `phases` (`build`);--> statement-breakpoint
CREATE INDEX `what_ifs_build` ON `what_ifs` (`build`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_zones` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`parent` text,
	`name` text NOT NULL,
	`position` real NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`parent`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_zones`("id", "build", "parent", "name", "position") SELECT "id", "build", "parent", "name", "position" FROM `zones`;--> statement-breakpoint
DROP TABLE `zones`;--> statement-breakpoint
ALTER TABLE `__new_zones` RENAME TO `zones`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `zones_build` ON `zones` (`build`);--> statement-breakpoint
CREATE INDEX `zones_parent` ON `zones` (`parent`);--> statement-breakpoint
CREATE TABLE `__new_kept_assemblies` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`account` text NOT NULL,
	`lots` text NOT NULL,
	FOREIGN KEY (`account`) REFERENCES `accounts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_kept_assemblies`("id", "name", "account", "lots") SELECT "id", "name", "account", "lots" FROM `kept_assemblies`;--> statement-breakpoint
DROP TABLE `kept_assemblies`;--> statement-breakpoint
ALTER TABLE `__new_kept_assemblies` RENAME TO `kept_assemblies`;--> statement-breakpoint
CREATE INDEX `kept_assemblies_account` ON `kept_assemblies` (`account`);--> statement-breakpoint
CREATE INDEX `pool_models_build` ON `pool_models` (`build`);--> statement-breakpoint
CREATE INDEX `count_lines_build` ON `count_lines` (`build`);--> statement-breakpoint
CREATE INDEX `count_lines_zone` ON `count_lines` (`zone`);--> statement-breakpoint
CREATE INDEX `exposures_build` ON `exposures` (`build`);--> statement-breakpoint
CREATE INDEX `exposures_zone` ON `exposures` (`zone`);--> statement-breakpoint
CREATE INDEX `findings_build` ON `findings` (`build`);--> statement-breakpoint
CREATE INDEX `findings_zone` ON `findings` (`zone`);--> statement-breakpoint
CREATE INDEX `findings_modification` ON `findings` (`modification`);--> statement-breakpoint
CREATE INDEX `left_slips_build` ON `left_slips` (`build`);--> statement-breakpoint
CREATE INDEX `left_slips_zone` ON `left_slips` (`zone`);--> statement-breakpoint
CREATE INDEX `photos_build` ON `photos` (`build`);--> statement-breakpoint
CREATE TABLE `__new_readings` (
	`id` text PRIMARY KEY NOT NULL,
	`account` text NOT NULL,
	`element` text NOT NULL,
	`batch` text NOT NULL,
	`qty` integer NOT NULL,
	`l` real NOT NULL,
	`a` real NOT NULL,
	`b` real NOT NULL,
	`white` text NOT NULL,
	`spread` real NOT NULL,
	`count` integer NOT NULL,
	`how` text NOT NULL,
	`made` text NOT NULL,
	`measure` text NOT NULL,
	`trusted` integer NOT NULL,
	`doubt` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`account`) REFERENCES `accounts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_readings`("id", "account", "element", "batch", "qty", "l", "a", "b", "white", "spread", "count", "how", "made", "measure", "trusted", "doubt", "at") SELECT "id", "account", "element", "batch", "qty", "l", "a", "b", "white", "spread", "count", "how", "made", "measure", "trusted", "doubt", "at" FROM `readings`;--> statement-breakpoint
DROP TABLE `readings`;--> statement-breakpoint
ALTER TABLE `__new_readings` RENAME TO `readings`;--> statement-breakpoint
CREATE UNIQUE INDEX `readings_batch_unique` ON `readings` (`batch`);--> statement-breakpoint
CREATE INDEX `readings_account` ON `readings` (`account`);--> statement-breakpoint
CREATE INDEX `schemes_build` ON `schemes` (`build`);--> statement-breakpoint
CREATE INDEX `schemes_zone` ON `schemes` (`zone`);--> statement-breakpoint
CREATE INDEX `survey_cards_build` ON `survey_cards` (`build`);--> statement-breakpoint
CREATE TABLE `__new_whitenings` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`account` text NOT NULL,
	`element` text NOT NULL,
	`qty` integer NOT NULL,
	`before` text NOT NULL,
	`after` text,
	`started_at` text NOT NULL,
	`ended_at` text,
	`note` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`account`) REFERENCES `accounts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_whitenings`("id", "build", "account", "element", "qty", "before", "after", "started_at", "ended_at", "note") SELECT "id", "build", "account", "element", "qty", "before", "after", "started_at", "ended_at", "note" FROM `whitenings`;--> statement-breakpoint
DROP TABLE `whitenings`;--> statement-breakpoint
ALTER TABLE `__new_whitenings` RENAME TO `whitenings`;--> statement-breakpoint
CREATE INDEX `whitenings_build` ON `whitenings` (`build`);--> statement-breakpoint
CREATE INDEX `whitenings_account` ON `whitenings` (`account`);--> statement-breakpoint
CREATE TABLE `__new_movements` (
	`entry` text NOT NULL,
	`place` integer NOT NULL,
	`element` text NOT NULL,
	`grade` text NOT NULL,
	`qty` integer NOT NULL,
	`from_account` text NOT NULL,
	`to_account` text NOT NULL,
	`worth` integer,
	PRIMARY KEY(`entry`, `place`),
	FOREIGN KEY (`entry`) REFERENCES `entries`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`from_account`) REFERENCES `accounts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`to_account`) REFERENCES `accounts`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "movements_qty" CHECK("__new_movements"."qty" > 0),
	CONSTRAINT "movements_two_ends" CHECK("__new_movements"."from_account" <> "__new_movements"."to_account"),
	CONSTRAINT "movements_worth" CHECK("__new_movements"."worth" is null or "__new_movements"."worth" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_movements`("entry", "place", "element", "grade", "qty", "from_account", "to_account", "worth") SELECT "entry", "place", "element", "grade", "qty", "from_account", "to_account", "worth" FROM `movements`;--> statement-breakpoint
DROP TABLE `movements`;--> statement-breakpoint
ALTER TABLE `__new_movements` RENAME TO `movements`;--> statement-breakpoint
CREATE INDEX `movements_from` ON `movements` (`from_account`,`element`);--> statement-breakpoint
CREATE INDEX `movements_to` ON `movements` (`to_account`,`element`);