CREATE TABLE `make_ups` (
	`build` text PRIMARY KEY NOT NULL,
	`saved` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE cascade
);
