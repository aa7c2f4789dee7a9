PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_copies` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`set_name` text NOT NULL,
	`set_code` text NOT NULL,
	`condition` text NOT NULL,
	`role` text NOT NULL,
	`price` integer,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_copies`("id", "build", "set_name", "set_code", "condition", "role", "price") SELECT "id", "build", "set_name", "set_code", "condition", "role", "price" FROM `copies`;--> statement-breakpoint
DROP TABLE `copies`;--> statement-breakpoint
ALTER TABLE `__new_copies` RENAME TO `copies`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `copies_build` ON `copies` (`build`);