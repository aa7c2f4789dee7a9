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
CREATE INDEX `strip_jobs_zone` ON `strip_jobs` (`zone`);--> statement-breakpoint
CREATE TABLE `letters` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`who` text NOT NULL,
	`about` text NOT NULL,
	`lines` text NOT NULL,
	`next` text NOT NULL,
	`next_on` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `letters_build` ON `letters` (`build`);--> statement-breakpoint
CREATE TABLE `attempts` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`modification` text,
	`what` text NOT NULL,
	`state` text NOT NULL,
	`end` text,
	`note` text NOT NULL,
	`photo` text,
	`at` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `attempts_build` ON `attempts` (`build`);--> statement-breakpoint
CREATE INDEX `attempts_zone` ON `attempts` (`zone`);--> statement-breakpoint
CREATE TABLE `awaited_places` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`what` text NOT NULL,
	`placeholder` text,
	`chosen` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `awaited_places_build` ON `awaited_places` (`build`);--> statement-breakpoint
CREATE INDEX `awaited_places_zone` ON `awaited_places` (`zone`);--> statement-breakpoint
CREATE TABLE `spent_times` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`modification` text,
	`minutes` integer NOT NULL,
	`on` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `spent_times_build` ON `spent_times` (`build`);--> statement-breakpoint
CREATE TABLE `put_asides` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`since` text NOT NULL,
	`until` text NOT NULL,
	`why` text NOT NULL,
	`looked_on` text NOT NULL,
	`answers` text NOT NULL,
	`photo` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `put_asides_build` ON `put_asides` (`build`);--> statement-breakpoint
CREATE TABLE `looks` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`symmetry` text NOT NULL,
	`spread` text NOT NULL,
	`row` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `looks_build` ON `looks` (`build`);--> statement-breakpoint
CREATE TABLE `part_marks` (
	`id` text PRIMARY KEY NOT NULL,
	`entry` text NOT NULL,
	`build` text NOT NULL,
	`mark` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `part_marks_build` ON `part_marks` (`build`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
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
	CONSTRAINT "movements_two_ends" CHECK("__new_movements"."from_account" <> "__new_movements"."to_account" or "__new_movements"."from_account" glob 'model:*'),
	CONSTRAINT "movements_worth" CHECK("__new_movements"."worth" is null or "__new_movements"."worth" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_movements`("entry", "place", "element", "grade", "qty", "from_account", "to_account", "worth") SELECT "entry", "place", "element", "grade", "qty", "from_account", "to_account", "worth" FROM `movements`;--> statement-breakpoint
DROP TABLE `movements`;--> statement-breakpoint
ALTER TABLE `__new_movements` RENAME TO `movements`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `movements_from` ON `movements` (`from_account`,`element`);--> statement-breakpoint
CREATE INDEX `movements_to` ON `movements` (`to_account`,`element`);--> statement-breakpoint
ALTER TABLE `findings` ADD `how` text DEFAULT '' NOT NULL;