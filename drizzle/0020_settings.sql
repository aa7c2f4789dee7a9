CREATE TABLE `workspace_settings` (
	`id` text PRIMARY KEY NOT NULL,
	`currency` text NOT NULL,
	`decimal` text NOT NULL,
	`dates` text NOT NULL,
	`units` text NOT NULL,
	`colour_names` text NOT NULL,
	`letter_keys` integer NOT NULL,
	`start_page` text NOT NULL,
	`surround` text NOT NULL,
	`is_demo` integer NOT NULL
);
