CREATE TABLE `count_lines` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`copy` text NOT NULL,
	`zone` text NOT NULL,
	`element` text NOT NULL,
	`expected` integer NOT NULL,
	`there` integer NOT NULL,
	`broken` integer NOT NULL,
	`faded` integer NOT NULL,
	`bare` integer NOT NULL,
	`wanted` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "count_lines_sum" CHECK("count_lines"."there" >= 0 and "count_lines"."broken" >= 0 and "count_lines"."there" + "count_lines"."broken" <= "count_lines"."expected")
);
--> statement-breakpoint
CREATE UNIQUE INDEX `count_lines_lot` ON `count_lines` (`copy`,`zone`,`element`);--> statement-breakpoint
CREATE TABLE `exposures` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`element` text NOT NULL,
	`seen` text NOT NULL,
	`hidden` integer NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `findings` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`kind` text NOT NULL,
	`zone` text NOT NULL,
	`lots` text NOT NULL,
	`belongs` text,
	`note` text NOT NULL,
	`matters` integer NOT NULL,
	`photo` text,
	`modification` text,
	`answer` text,
	`dropped` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`modification`) REFERENCES `modifications`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `hidden_truths` (
	`account` text NOT NULL,
	`element` text NOT NULL,
	`labs` text NOT NULL,
	PRIMARY KEY(`account`, `element`)
);
--> statement-breakpoint
CREATE TABLE `left_slips` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`element` text NOT NULL,
	`reason` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `made_ins` (
	`id` text PRIMARY KEY NOT NULL,
	`element` text NOT NULL,
	`from_year` integer,
	`to_year` integer
);
--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`id` text PRIMARY KEY NOT NULL,
	`account` text NOT NULL,
	`element` text NOT NULL,
	`batch` text NOT NULL,
	`qty` integer NOT NULL,
	`l` real NOT NULL,
	`a` real NOT NULL,
	`b` real NOT NULL,
	`white` text NOT NULL,
	`spread` real NOT NULL,
	`count` integer NOT NULL,
	`how` text NOT NULL,
	`made` text NOT NULL,
	`measure` text NOT NULL,
	`trusted` integer NOT NULL,
	`doubt` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `readings_batch_unique` ON `readings` (`batch`);--> statement-breakpoint
CREATE TABLE `schemes` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`zone` text NOT NULL,
	`colours` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`zone`) REFERENCES `zones`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `settings` (
	`id` text PRIMARY KEY NOT NULL,
	`values` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `survey_cards` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`display` text NOT NULL,
	`away` text NOT NULL,
	`found` text,
	`built` text,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `whitenings` (
	`id` text PRIMARY KEY NOT NULL,
	`build` text NOT NULL,
	`account` text NOT NULL,
	`element` text NOT NULL,
	`qty` integer NOT NULL,
	`before` text NOT NULL,
	`after` text,
	`started_at` text NOT NULL,
	`ended_at` text,
	`note` text NOT NULL,
	FOREIGN KEY (`build`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
