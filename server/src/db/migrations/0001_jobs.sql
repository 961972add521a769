CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`device` text NOT NULL,
	`name` text NOT NULL,
	`state` text NOT NULL,
	`created` integer NOT NULL,
	`steps` integer NOT NULL,
	`done` integer NOT NULL,
	`pace` real,
	`settings` text NOT NULL,
	`report` text,
	`trace` text,
	`trouble` text,
	`file` blob NOT NULL
);
