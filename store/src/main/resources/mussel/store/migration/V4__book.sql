-- The yard's book: what each job leaves in the life of its leg, and every word it can be found by. Derived from the journal.
CREATE TABLE visit (
    job      INTEGER PRIMARY KEY,
    upto     INTEGER NOT NULL,
    leg      TEXT    NOT NULL,
    boat     TEXT    NOT NULL,
    title    TEXT    NOT NULL,
    family   TEXT    NOT NULL,
    named    TEXT    NOT NULL,
    day      TEXT    NOT NULL,
    tagged   INTEGER NOT NULL,
    hours    REAL,
    water    TEXT,
    sand     INTEGER NOT NULL,
    record   TEXT    NOT NULL
);

CREATE INDEX visit_of_leg ON visit (leg, job);
CREATE INDEX visit_upto ON visit (upto);
CREATE INDEX visit_family ON visit (family, named);
CREATE INDEX visit_day ON visit (substr(day, 1, 4));
CREATE INDEX visit_boat ON visit (boat, leg);

CREATE TABLE renewal (
    job    INTEGER NOT NULL,
    what   TEXT    NOT NULL,
    failed INTEGER,
    age    REAL,
    PRIMARY KEY (job, what)
) WITHOUT ROWID;

CREATE TABLE expectation (
    job         INTEGER NOT NULL,
    cause       TEXT    NOT NULL,
    probability REAL    NOT NULL,
    prior       REAL    NOT NULL,
    found       INTEGER NOT NULL,
    PRIMARY KEY (job, cause)
) WITHOUT ROWID;

-- rowid is the job; marks hold state, family and year as single words for the filters.
CREATE VIRTUAL TABLE search USING fts5 (words, marks, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3');

-- Which interval it is: a recheck is over once a later job has looked.
ALTER TABLE bench_due ADD COLUMN id TEXT NOT NULL DEFAULT '';

-- What is due now: of each leg and each service the last tagged job that says so.
CREATE TABLE due_now (
    leg      TEXT    NOT NULL,
    what     TEXT    NOT NULL,
    job      INTEGER NOT NULL,
    at_hours REAL    NOT NULL,
    on_day   TEXT    NOT NULL,
    PRIMARY KEY (leg, what)
) WITHOUT ROWID;

CREATE INDEX due_now_on ON due_now (on_day, job);

-- A job is known again by the moment it began.
CREATE INDEX entry_at ON entry (at);

PRAGMA user_version = 4;
