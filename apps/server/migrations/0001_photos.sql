CREATE TABLE "photos" (
	"job" text NOT NULL,
	"id" text NOT NULL,
	"type" text NOT NULL,
	"sha256" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "photos_job_id_pk" PRIMARY KEY("job","id")
);
