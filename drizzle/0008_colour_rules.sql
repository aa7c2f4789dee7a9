CREATE TABLE `colour_rules` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text,
	`family` text NOT NULL,
	`colour` text,
	`to` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `colour_rules_build` ON `colour_rules` (`build`);--> statement-breakpoint
CREATE INDEX `colour_rules_zone` ON `colour_rules` (`zone`);