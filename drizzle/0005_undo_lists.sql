CREATE TABLE `action_scopes` (
	`scope` text NOT NULL,
	`action` text NOT NULL,
	`state` text NOT NULL,
	`position` integer NOT NULL,
	PRIMARY KEY(`action`, `scope`),
	FOREIGN KEY (`action`) REFERENCES `actions`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `action_scopes_list` ON `action_scopes` (`scope`,`state`,`position`);--> statement-breakpoint
DROP INDEX `actions_scope`;--> statement-breakpoint
CREATE INDEX `actions_position` ON `actions` (`position`);--> statement-breakpoint
INSERT INTO `action_scopes`(`scope`, `action`, `state`, `position`) SELECT `scope`, `id`, `state`, `position` FROM `actions`;
