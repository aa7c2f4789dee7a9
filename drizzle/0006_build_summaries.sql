CREATE TABLE `build_summaries` (
	`build` text PRIMARY KEY NOT NULL,
	`position` integer NOT NULL,
	`summary` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE cascade
);
