CREATE TABLE `servers` (
	`id` text PRIMARY KEY NOT NULL,
	`seen` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `designs` ADD `arriving` text;--> statement-breakpoint
ALTER TABLE `jobs` ADD `server` text;--> statement-breakpoint
UPDATE `designs` SET `changed` = 0 WHERE NOT (typeof(`changed`) = 'integer' AND `changed` BETWEEN 0 AND 8640000000000000);--> statement-breakpoint
UPDATE `revisions` SET `changed` = 0 WHERE NOT (typeof(`changed`) = 'integer' AND `changed` BETWEEN 0 AND 8640000000000000);--> statement-breakpoint
UPDATE OR IGNORE `revisions` SET `revision` = 1 + coalesce((SELECT max(`own`.`revision`) FROM `revisions` AS `own` WHERE `own`.`design` = `revisions`.`design` AND typeof(`own`.`revision`) = 'integer' AND `own`.`revision` BETWEEN 1 AND 999999999), 0) WHERE NOT (typeof(`revision`) = 'integer' AND `revision` BETWEEN 1 AND 999999999);--> statement-breakpoint
UPDATE `designs` SET `revision` = coalesce((SELECT max(`own`.`revision`) FROM `revisions` AS `own` WHERE `own`.`design` = `designs`.`id` AND typeof(`own`.`revision`) = 'integer' AND `own`.`revision` BETWEEN 1 AND 999999999), 1) WHERE NOT (typeof(`revision`) = 'integer' AND `revision` BETWEEN 1 AND 999999999);
