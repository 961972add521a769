CREATE TABLE `designs` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`revision` integer NOT NULL,
	`changed` integer NOT NULL,
	`binned` integer,
	`width` real NOT NULL,
	`height` real NOT NULL,
	`unit` text NOT NULL,
	`folds` integer NOT NULL,
	`copies` integer NOT NULL,
	`content` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pictures` (
	`design` text PRIMARY KEY NOT NULL,
	`revision` integer NOT NULL,
	`png` blob NOT NULL,
	FOREIGN KEY (`design`) REFERENCES `designs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `revisions` (
	`design` text NOT NULL,
	`revision` integer NOT NULL,
	`changed` integer NOT NULL,
	`take` text,
	`content` text NOT NULL,
	PRIMARY KEY(`design`, `revision`),
	FOREIGN KEY (`design`) REFERENCES `designs`(`id`) ON UPDATE no action ON DELETE cascade
);
