-- What each job changes on the yard's shelf: derived from the journal like the bench's lines.
CREATE TABLE bench_shelf (
    job    INTEGER NOT NULL,
    family TEXT    NOT NULL,
    part   TEXT    NOT NULL,
    qty    INTEGER NOT NULL,
    PRIMARY KEY (job, part)
) WITHOUT ROWID;

CREATE INDEX bench_shelf_of_family ON bench_shelf (family, part);

PRAGMA user_version = 3;
