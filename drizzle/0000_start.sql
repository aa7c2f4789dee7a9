CREATE TABLE `actions` (
	`id` text PRIMARY KEY NOT NULL,
	`scope` text NOT NULL,
	`label` text NOT NULL,
	`diff` text NOT NULL,
	`state` text NOT NULL,
	`position` integer NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `actions_scope` ON `actions` (`scope`,`state`,`position`);--> statement-breakpoint
CREATE TABLE `assemblies` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`lots` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `builds` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`created_at` text NOT NULL,
	`archived` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `changes` (
	`revision` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`request` text NOT NULL,
	`action` text NOT NULL,
	`direction` text NOT NULL,
	FOREIGN KEY (`action`) REFERENCES `actions`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `changes_request_unique` ON `changes` (`request`);--> statement-breakpoint
CREATE TABLE `colour_aliases` (
	`id` text PRIMARY KEY NOT NULL,
	`colour` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `column_memories` (
	`id` text PRIMARY KEY NOT NULL,
	`roles` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `copies` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`set_name` text NOT NULL,
	`set_code` text NOT NULL,
	`condition` text NOT NULL,
	`role` text NOT NULL,
	`price` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `custom_colours` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`hex` text NOT NULL,
	`family` text NOT NULL,
	`finish` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `entries` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text,
	`modification` text,
	`kind` text NOT NULL,
	`state` text NOT NULL,
	`no` integer NOT NULL,
	`position` real NOT NULL,
	`why` text,
	`note` text NOT NULL,
	`hidden` integer NOT NULL,
	`stands_for` text,
	`what_if` text,
	`assembly` text,
	`order_id` text,
	`line` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`modification`) REFERENCES `modifications`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`what_if`) REFERENCES `what_ifs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "entries_state" CHECK("entries"."state" in ('planned', 'done')),
	CONSTRAINT "entries_what_if_is_planned" CHECK("entries"."what_if" is null or "entries"."state" = 'planned')
);
--> statement-breakpoint
CREATE INDEX `entries_build` ON `entries` (`build`,`no`);--> statement-breakpoint
CREATE TABLE `modifications` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`no` integer NOT NULL,
	`title` text NOT NULL,
	`zone` text NOT NULL,
	`phase` text,
	`why` text NOT NULL,
	`note` text NOT NULL,
	`position` real NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`phase`) REFERENCES `phases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `modifications_no` ON `modifications` (`build`,`no`);--> statement-breakpoint
CREATE TABLE `movements` (
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
	CONSTRAINT "movements_qty" CHECK("movements"."qty" > 0),
	CONSTRAINT "movements_two_ends" CHECK("movements"."from_account" <> "movements"."to_account"),
	CONSTRAINT "movements_worth" CHECK("movements"."worth" is null or "movements"."worth" >= 0)
);
--> statement-breakpoint
CREATE INDEX `movements_from` ON `movements` (`from_account`,`element`);--> statement-breakpoint
CREATE INDEX `movements_to` ON `movements` (`to_account`,`element`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`seller` text NOT NULL,
	`postage` integer NOT NULL,
	`due` text NOT NULL,
	`placed_at` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `phases` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`position` real NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `prices` (
	`id` text PRIMARY KEY NOT NULL,
	`element` text NOT NULL,
	`new_price` integer,
	`used_price` integer
);
--> statement-breakpoint
CREATE TABLE `set_lots` (
	`set` text NOT NULL,
	`place` integer NOT NULL,
	`element` text NOT NULL,
	`qty` integer NOT NULL,
	`extra` integer NOT NULL,
	`zone` text NOT NULL,
	PRIMARY KEY(`set`, `place`),
	FOREIGN KEY (`set`) REFERENCES `sets`(`code`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sets` (
	`code` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`maker` text NOT NULL,
	`year` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `trays` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`place` text NOT NULL,
	`position` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `what_ifs` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `zones` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`parent` text,
	`name` text NOT NULL,
	`position` real NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
