CREATE TABLE `ideal_parts` (
	`id` text PRIMARY KEY NOT NULL,
	`entry` text NOT NULL,
	`build` text NOT NULL,
	`element` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ideal_parts_build` ON `ideal_parts` (`build`);--> statement-breakpoint
ALTER TABLE `pool_models` ADD `place` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `pool_models` ADD `colour` text;--> statement-breakpoint
ALTER TABLE `pool_models` ADD `section_of` text;--> statement-breakpoint
ALTER TABLE `pool_models` ADD `is_built` integer DEFAULT 0 NOT NULL;