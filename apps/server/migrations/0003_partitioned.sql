CREATE TABLE "chain_records" (
	"job" text NOT NULL,
	"door" text NOT NULL,
	"n" integer NOT NULL,
	"data" jsonb NOT NULL,
	CONSTRAINT "chain_records_job_door_n_pk" PRIMARY KEY("job","door","n")
);
--> statement-breakpoint
CREATE TABLE "events" (
	"job" text NOT NULL,
	"id" text NOT NULL,
	"received" bigint NOT NULL,
	"data" jsonb NOT NULL,
	CONSTRAINT "events_job_id_pk" PRIMARY KEY("job","id")
);
--> statement-breakpoint
CREATE INDEX "events_received" ON "events" USING btree ("job","received");--> statement-breakpoint
INSERT INTO "chain_records" ("job", "door", "n", "data")
SELECT "job", "data"->>'door', ("data"->>'n')::integer, "data" FROM "records" WHERE "kind" = 'chain';
--> statement-breakpoint
INSERT INTO "records" ("job", "kind", "id", "rev", "data")
SELECT DISTINCT ON ("job", "data"->>'door') "job", 'head', "data"->>'door', "rev", jsonb_build_object('id', "data"->'door', 'n', "data"->'n', 'hash', "data"->'hash')
FROM "records" WHERE "kind" = 'chain' ORDER BY "job", "data"->>'door', ("data"->>'n')::integer DESC;
--> statement-breakpoint
INSERT INTO "events" ("job", "id", "received", "data")
SELECT "job", "id", ("data"->>'received')::bigint, "data" FROM "records" WHERE "kind" = 'event';
--> statement-breakpoint
DELETE FROM "records" WHERE "kind" IN ('chain', 'event');
