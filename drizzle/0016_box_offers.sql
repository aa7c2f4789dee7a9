CREATE TABLE `box_offers` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`set_name` text NOT NULL,
	`condition` text NOT NULL,
	`price` integer NOT NULL,
	`copies` integer NOT NULL,
	`seller` text NOT NULL,
	`days` integer NOT NULL
);
