DELETE FROM "sessions";--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "id" text NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "created_at" bigint NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "seen_at" bigint NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "from" text NOT NULL;--> statement-breakpoint
CREATE INDEX "changes_traces" ON "changes" USING btree ("job","rev") WHERE name like 'trace.%';