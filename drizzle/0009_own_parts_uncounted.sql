PRAGMA foreign_keys=OFF;--> statement-breakpoint
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
        when 'own' then "__new_accounts"."id" = 'own' or substr("__new_accounts"."id", 1, 4) = 'own:'
        else 0 end)
);
--> statement-breakpoint
INSERT INTO `__new_accounts`("id", "place", "zone", "tray", "copy", "order_id", "build") SELECT "id", "place", "zone", "tray", "copy", "order_id", "build" FROM `accounts`;--> statement-breakpoint
DROP TABLE `accounts`;--> statement-breakpoint
ALTER TABLE `__new_accounts` RENAME TO `accounts`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
ALTER TABLE `build_sources` ADD `elsewhere` text;