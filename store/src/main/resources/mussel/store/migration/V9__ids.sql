-- What is next is kept as what it is and becomes a sentence when it is read; sentences kept before stay as they were until the job goes on.
ALTER TABLE bench_line ADD COLUMN next_of TEXT NOT NULL DEFAULT '';
ALTER TABLE bench_line ADD COLUMN next_named TEXT NOT NULL DEFAULT '';
UPDATE bench_line SET next_named = next, next = 'SAID';

-- What is due is known by the interval's id and not by its title, which a sheet may change. Lines that never had one keep their title in its place.
UPDATE bench_due SET id = what WHERE id = '';
ALTER TABLE due_now RENAME TO due_now_before;
CREATE TABLE due_now (
    leg       TEXT    NOT NULL,
    id        TEXT    NOT NULL,
    what      TEXT    NOT NULL,
    job       INTEGER NOT NULL,
    at_hours  REAL,
    on_day    TEXT    NOT NULL,
    likely_on TEXT    NOT NULL,
    PRIMARY KEY (leg, id)
) WITHOUT ROWID;
INSERT OR IGNORE INTO due_now
SELECT b.leg, coalesce((SELECT d.id FROM bench_due d WHERE d.job = b.job AND d.what = b.what), b.what),
    b.what, b.job, b.at_hours, b.on_day, b.likely_on
FROM due_now_before b ORDER BY b.job DESC;
DROP TABLE due_now_before;
CREATE INDEX due_now_on ON due_now (likely_on, job);

PRAGMA user_version = 9;
