CREATE TABLE `roughly_known` (
	`id` text PRIMARY KEY NOT NULL,
	`family` text NOT NULL,
	`colour` text NOT NULL,
	`amount` text NOT NULL
);
