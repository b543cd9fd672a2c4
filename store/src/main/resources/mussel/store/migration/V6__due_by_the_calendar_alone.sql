-- What is due may have no hours: where nobody read the meter, or where only the calendar counts. It knows the day it is likely due.
ALTER TABLE bench_due RENAME TO bench_due_before;
CREATE TABLE bench_due (
    job      INTEGER NOT NULL,
    what     TEXT    NOT NULL,
    at_hours REAL,
    on_day   TEXT    NOT NULL,
    id       TEXT    NOT NULL DEFAULT ''
);
INSERT INTO bench_due (job, what, at_hours, on_day, id) SELECT job, what, at_hours, on_day, id FROM bench_due_before ORDER BY rowid;
DROP TABLE bench_due_before;
CREATE INDEX bench_due_of_job ON bench_due (job);

ALTER TABLE due_now RENAME TO due_now_before;
CREATE TABLE due_now (
    leg       TEXT    NOT NULL,
    what      TEXT    NOT NULL,
    job       INTEGER NOT NULL,
    at_hours  REAL,
    on_day    TEXT    NOT NULL,
    likely_on TEXT    NOT NULL,
    PRIMARY KEY (leg, what)
) WITHOUT ROWID;
INSERT INTO due_now SELECT leg, what, job, at_hours, on_day, on_day FROM due_now_before;
DROP TABLE due_now_before;
CREATE INDEX due_now_on ON due_now (likely_on, job);

-- Jobs whose meter nobody read were counted from zero hours: their lines are made anew.
INSERT OR REPLACE INTO owed
SELECT e.job, max(e.seq) FROM entry e JOIN bench_line l ON l.job = e.job WHERE l.hours IS NULL AND l.tagged IS NOT NULL GROUP BY e.job;

-- With the last job of each leg its likely days are worked out.
INSERT OR REPLACE INTO owed
SELECT job, (SELECT max(seq) FROM entry e WHERE e.job = l.job) FROM (SELECT max(job) AS job FROM bench_line GROUP BY leg) l;

PRAGMA user_version = 6;
