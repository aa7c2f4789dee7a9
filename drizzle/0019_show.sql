CREATE TABLE `ideal_parts` (
	`id` text PRIMARY KEY NOT NULL,
	`entry` text NOT NULL,
	`build` text NOT NULL,
	`element` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ideal_parts_build` ON `ideal_parts` (`build`);--> statement-breakpoint
CREATE TABLE `stages` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`no` integer NOT NULL,
	`at` text NOT NULL,
	`note` text NOT NULL,
	`size` text,
	`photo` text,
	`marks` text NOT NULL,
	`position` real NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stages_build` ON `stages` (`build`);--> statement-breakpoint
CREATE TABLE `zones_told` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`was` text NOT NULL,
	`is` text NOT NULL,
	`photo` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `zones_told_build` ON `zones_told` (`build`);--> statement-breakpoint
CREATE INDEX `zones_told_zone` ON `zones_told` (`zone`);--> statement-breakpoint
CREATE TABLE `mod_sheets` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`title` text NOT NULL,
	`author` text NOT NULL,
	`lead` text NOT NULL,
	`thanks` text NOT NULL,
	`parts` text NOT NULL,
	`tells` text NOT NULL,
	`paper` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `mod_sheets_build` ON `mod_sheets` (`build`);--> statement-breakpoint
CREATE TABLE `patterns` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`author` text NOT NULL,
	`kind` text NOT NULL,
	`revision` integer NOT NULL,
	`at` text NOT NULL,
	`zones` text NOT NULL,
	`lots` text NOT NULL,
	`faults` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `patterns_build` ON `patterns` (`build`);--> statement-breakpoint
CREATE TABLE `streets` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`width` integer NOT NULL,
	`depth` integer NOT NULL,
	`places` text NOT NULL,
	`note` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `storeys` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`zone` text,
	`from` text,
	`rule` text NOT NULL,
	`state` text NOT NULL,
	`note` text NOT NULL,
	`position` real NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `storeys_build` ON `storeys` (`build`);--> statement-breakpoint
ALTER TABLE `pool_models` ADD `place` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `pool_models` ADD `colour` text;--> statement-breakpoint
ALTER TABLE `pool_models` ADD `section_of` text;--> statement-breakpoint
ALTER TABLE `pool_models` ADD `is_built` integer DEFAULT 0 NOT NULL;