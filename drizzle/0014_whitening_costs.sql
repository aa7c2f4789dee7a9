CREATE TABLE `whitening_costs` (
	`id` text PRIMARY KEY NOT NULL,
	`per_bath` integer NOT NULL,
	`pieces` integer NOT NULL,
	`hours` real NOT NULL
);
