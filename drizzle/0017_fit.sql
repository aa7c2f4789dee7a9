CREATE TABLE `wall_jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`name` text NOT NULL,
	`walls` text NOT NULL,
	`meet` text NOT NULL,
	`thick` integer NOT NULL,
	`courses` text NOT NULL,
	`corners` text,
	`openings` text NOT NULL,
	`panels` text NOT NULL,
	`plates` integer NOT NULL,
	`planned` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `wall_jobs_build` ON `wall_jobs` (`build`);--> statement-breakpoint
CREATE INDEX `wall_jobs_zone` ON `wall_jobs` (`zone`);--> statement-breakpoint
CREATE TABLE `floor_jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`name` text NOT NULL,
	`width` integer NOT NULL,
	`depth` integer NOT NULL,
	`family` text NOT NULL,
	`layers` integer NOT NULL,
	`colours` text NOT NULL,
	`pattern` text NOT NULL,
	`slab` text NOT NULL,
	`kerb` text,
	`keep_out` text NOT NULL,
	`planned` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `floor_jobs_build` ON `floor_jobs` (`build`);--> statement-breakpoint
CREATE INDEX `floor_jobs_zone` ON `floor_jobs` (`zone`);--> statement-breakpoint
CREATE TABLE `plots` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`width` integer NOT NULL,
	`depth` integer NOT NULL,
	`front` integer NOT NULL,
	`touches` text NOT NULL,
	`storeys` text NOT NULL,
	`neighbours` text NOT NULL,
	`place` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `plots_build` ON `plots` (`build`);