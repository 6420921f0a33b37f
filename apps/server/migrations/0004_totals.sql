CREATE TABLE "totals" (
	"job" text PRIMARY KEY NOT NULL,
	"rev" integer NOT NULL,
	"records" integer NOT NULL,
	"weight" text NOT NULL,
	"hash" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "changes" ADD COLUMN "hash" text;