CREATE TABLE `kept_assemblies` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`account` text NOT NULL,
	`lots` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pool_models` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`name` text NOT NULL,
	`musts` text NOT NULL,
	`colours` text NOT NULL,
	`shares` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `watches` (
	`id` text PRIMARY KEY NOT NULL,
	`element` text NOT NULL,
	`qty` integer NOT NULL,
	`note` text NOT NULL,
	`at` text NOT NULL
);
