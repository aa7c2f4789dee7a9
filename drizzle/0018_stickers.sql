CREATE TABLE `sticker_sheets` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`from_set` text NOT NULL,
	`kind` text NOT NULL,
	`printer` text NOT NULL,
	`material` text NOT NULL,
	`cost` integer,
	`water` text NOT NULL,
	`heat` text NOT NULL,
	`note` text NOT NULL,
	`photo` text,
	`fields` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stickers` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`zone` text NOT NULL,
	`elements` text NOT NULL,
	`w` real,
	`l` real,
	`colour` text,
	`sheet` text,
	`came_on` text NOT NULL,
	`condition` text NOT NULL,
	`finding` text,
	`note` text NOT NULL,
	`way` text,
	`ways` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stickers_build` ON `stickers` (`build`);--> statement-breakpoint
CREATE INDEX `stickers_zone` ON `stickers` (`zone`);--> statement-breakpoint
CREATE TABLE `sticker_acts` (
	`id` text PRIMARY KEY NOT NULL,
	`entry` text NOT NULL,
	`build` text NOT NULL,
	`sticker` text NOT NULL,
	`act` text NOT NULL,
	`zone` text,
	`elements` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`sticker`) REFERENCES `stickers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sticker_acts_build` ON `sticker_acts` (`build`);--> statement-breakpoint
CREATE INDEX `sticker_acts_sticker` ON `sticker_acts` (`sticker`);--> statement-breakpoint
CREATE INDEX `sticker_acts_zone` ON `sticker_acts` (`zone`);--> statement-breakpoint
CREATE TABLE `strip_jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`name` text NOT NULL,
	`kerf` real NOT NULL,
	`margin` real NOT NULL,
	`tolerance` real NOT NULL,
	`strips` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `strip_jobs_build` ON `strip_jobs` (`build`);--> statement-breakpoint
CREATE INDEX `strip_jobs_zone` ON `strip_jobs` (`zone`);