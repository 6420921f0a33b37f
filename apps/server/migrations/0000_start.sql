CREATE TABLE "accounts" (
	"name" text PRIMARY KEY NOT NULL,
	"role" text NOT NULL,
	"hash" text NOT NULL,
	"created_at" bigint NOT NULL
);
--> statement-breakpoint
CREATE TABLE "changes" (
	"job" text NOT NULL,
	"rev" integer NOT NULL,
	"at" bigint NOT NULL,
	"by" text NOT NULL,
	"command" text,
	"name" text NOT NULL,
	"says" text NOT NULL,
	"changes" jsonb NOT NULL,
	CONSTRAINT "changes_job_rev_pk" PRIMARY KEY("job","rev")
);
--> statement-breakpoint
CREATE TABLE "field_revisions" (
	"job" text NOT NULL,
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"field" text NOT NULL,
	"rev" integer NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "field_revisions_job_kind_id_field_pk" PRIMARY KEY("job","kind","id","field")
);
--> statement-breakpoint
CREATE TABLE "records" (
	"job" text NOT NULL,
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"rev" integer NOT NULL,
	"data" jsonb NOT NULL,
	CONSTRAINT "records_job_kind_id_pk" PRIMARY KEY("job","kind","id")
);
--> statement-breakpoint
CREATE TABLE "secrets" (
	"job" text NOT NULL,
	"id" text NOT NULL,
	"sealed" text NOT NULL,
	CONSTRAINT "secrets_job_id_pk" PRIMARY KEY("job","id")
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"account" text NOT NULL,
	"expires_at" bigint NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX "changes_command" ON "changes" USING btree ("job","command");--> statement-breakpoint
CREATE INDEX "records_kind" ON "records" USING btree ("job","kind");