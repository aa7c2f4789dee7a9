DROP INDEX `zones_parent`;--> statement-breakpoint
CREATE INDEX `zones_parent` ON `zones` (`parent`) WHERE "zones"."parent" is not null;--> statement-breakpoint
DROP INDEX `modifications_phase`;--> statement-breakpoint
CREATE INDEX `modifications_phase` ON `modifications` (`phase`) WHERE "modifications"."phase" is not null;--> statement-breakpoint
DROP INDEX `findings_modification`;--> statement-breakpoint
CREATE INDEX `findings_modification` ON `findings` (`modification`) WHERE "findings"."modification" is not null;--> statement-breakpoint
DROP INDEX `colour_rules_zone`;--> statement-breakpoint
CREATE INDEX `colour_rules_zone` ON `colour_rules` (`zone`) WHERE "colour_rules"."zone" is not null;--> statement-breakpoint
DROP INDEX `sticker_acts_zone`;--> statement-breakpoint
CREATE INDEX `sticker_acts_zone` ON `sticker_acts` (`zone`) WHERE "sticker_acts"."zone" is not null;--> statement-breakpoint
DROP INDEX `entries_modification`;--> statement-breakpoint
DROP INDEX `entries_what_if`;--> statement-breakpoint
DROP INDEX `entries_assembly`;--> statement-breakpoint
DROP INDEX `entries_order`;--> statement-breakpoint
DROP INDEX `entries_counted`;--> statement-breakpoint
CREATE INDEX `entries_modification` ON `entries` (`modification`) WHERE "entries"."modification" is not null;--> statement-breakpoint
CREATE INDEX `entries_what_if` ON `entries` (`what_if`) WHERE "entries"."what_if" is not null;--> statement-breakpoint
CREATE INDEX `entries_assembly` ON `entries` (`assembly`) WHERE "entries"."assembly" is not null;--> statement-breakpoint
CREATE INDEX `entries_order` ON `entries` (`order_id`) WHERE "entries"."order_id" is not null;--> statement-breakpoint
CREATE INDEX `entries_counted` ON `entries` (`counted`) WHERE "entries"."counted" is not null;--> statement-breakpoint
CREATE INDEX `movements_element` ON `movements` (`element`);