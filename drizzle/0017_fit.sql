CREATE TABLE `wall_jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`name` text NOT NULL,
	`walls` text NOT NULL,
	`meet` text NOT NULL,
	`thick` integer NOT NULL,
	`any_inside` integer NOT NULL,
	`courses` text NOT NULL,
	`corners` text,
	`openings` text NOT NULL,
	`panels` text NOT NULL,
	`faces` text NOT NULL,
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
	`above` integer,
	`touches` text NOT NULL,
	`storeys` text NOT NULL,
	`kerb` integer,
	`cornices` text NOT NULL,
	`doors` text NOT NULL,
	`changed` text NOT NULL,
	`neighbours` text NOT NULL,
	`place` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `plots_build` ON `plots` (`build`);--> statement-breakpoint
CREATE TABLE `zone_places` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`x` integer NOT NULL,
	`y` integer NOT NULL,
	`width` integer NOT NULL,
	`depth` integer NOT NULL,
	`bottom` integer NOT NULL,
	`height` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `zone_places_build` ON `zone_places` (`build`);--> statement-breakpoint
CREATE INDEX `zone_places_zone` ON `zone_places` (`zone`);--> statement-breakpoint
CREATE TABLE `interiors` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`rooms` text NOT NULL,
	`ways` text NOT NULL,
	`passers` text NOT NULL,
	`points` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `interiors_build` ON `interiors` (`build`);--> statement-breakpoint
CREATE TABLE `tracks` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`length` real NOT NULL,
	`pivots` real NOT NULL,
	`width` real NOT NULL,
	`from` real NOT NULL,
	`to` real NOT NULL,
	`radius` real,
	`room` real NOT NULL,
	`wall` text,
	`side` text NOT NULL,
	`distance` integer NOT NULL,
	`tried` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `tracks_build` ON `tracks` (`build`);--> statement-breakpoint
CREATE TABLE `rings` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`panels` integer NOT NULL,
	`length` real NOT NULL,
	`thick` real NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `rings_build` ON `rings` (`build`);--> statement-breakpoint
CREATE TABLE `seams` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`what` text NOT NULL,
	`zones` text NOT NULL,
	`width` integer NOT NULL,
	`depth` integer NOT NULL,
	`height` integer NOT NULL,
	`studs` integer NOT NULL,
	`grip` text NOT NULL,
	`tried` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `seams_build` ON `seams` (`build`);--> statement-breakpoint
CREATE TABLE `connections` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`name` text NOT NULL,
	`holds` text NOT NULL,
	`wide` integer NOT NULL,
	`rows` integer NOT NULL,
	`lever` real NOT NULL,
	`grams` real NOT NULL,
	`stress` text,
	`note` text NOT NULL,
	`modification` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `connections_build` ON `connections` (`build`);--> statement-breakpoint
CREATE INDEX `connections_zone` ON `connections` (`zone`);--> statement-breakpoint
CREATE TABLE `weighed_parts` (
	`id` text PRIMARY KEY NOT NULL,
	`pieces` integer NOT NULL,
	`grams` real NOT NULL,
	`reads` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `briefs` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`purpose` text NOT NULL,
	`wishes` text NOT NULL,
	`ideas` text NOT NULL,
	`rules` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `briefs_build` ON `briefs` (`build`);--> statement-breakpoint
CREATE TABLE `rule_exceptions` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`rule` text NOT NULL,
	`reason` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `rule_exceptions_build` ON `rule_exceptions` (`build`);