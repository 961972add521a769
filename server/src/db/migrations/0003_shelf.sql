CREATE TABLE `shelf` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`revision` integer NOT NULL,
	`changed` integer NOT NULL,
	`removed` integer,
	`content` text NOT NULL
);
