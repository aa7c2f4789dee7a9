CREATE TABLE `parcel_claims` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`order` text NOT NULL,
	`element` text NOT NULL,
	`grade` text NOT NULL,
	`qty` integer NOT NULL,
	`kind` text NOT NULL,
	`found_at` text NOT NULL,
	`asked_at` text,
	`answer` text NOT NULL,
	`end` text,
	`refund` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`order`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `parcel_claims_build` ON `parcel_claims` (`build`);--> statement-breakpoint
CREATE INDEX `parcel_claims_order` ON `parcel_claims` (`order`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_orders` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`seller` text NOT NULL,
	`postage` integer NOT NULL,
	`fees` integer NOT NULL,
	`refund` integer NOT NULL,
	`due` text NOT NULL,
	`placed_at` text NOT NULL,
	`chased_at` text,
	`simulated` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_orders`("id", "build", "seller", "postage", "fees", "refund", "due", "placed_at", "chased_at", "simulated") SELECT "id", "build", "seller", "postage", 0, 0, "due", "placed_at", NULL, 1 FROM `orders`;--> statement-breakpoint
DROP TABLE `orders`;--> statement-breakpoint
ALTER TABLE `__new_orders` RENAME TO `orders`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `orders_build` ON `orders` (`build`);