-- What the bench shows of each job: derived from the journal, made anew whenever a job's entries go on.
CREATE TABLE bench_line (
    job         INTEGER PRIMARY KEY,
    upto        INTEGER NOT NULL,
    leg         TEXT    NOT NULL,
    boat        TEXT    NOT NULL,
    position    TEXT    NOT NULL,
    family      TEXT    NOT NULL,
    family_name TEXT    NOT NULL,
    hours       REAL,
    next        TEXT    NOT NULL,
    waits       TEXT    NOT NULL,
    promised    TEXT    NOT NULL,
    current     TEXT    NOT NULL,
    states      TEXT    NOT NULL,
    wet         INTEGER NOT NULL,
    dye         TEXT,
    water       TEXT,
    heat        TEXT,
    tagged      TEXT,
    words       TEXT    NOT NULL
);

CREATE INDEX bench_line_open ON bench_line (tagged, job);
CREATE INDEX bench_line_of_leg ON bench_line (leg, job);
CREATE INDEX bench_line_of_boat ON bench_line (boat COLLATE NOCASE, position, job);
CREATE INDEX bench_line_upto ON bench_line (upto);

CREATE TABLE bench_due (
    job      INTEGER NOT NULL,
    what     TEXT    NOT NULL,
    at_hours REAL    NOT NULL,
    on_day   TEXT    NOT NULL
);

CREATE INDEX bench_due_of_job ON bench_due (job);

CREATE TABLE bench_outline (
    family TEXT    NOT NULL,
    nr     INTEGER NOT NULL,
    id     TEXT    NOT NULL,
    kind   TEXT    NOT NULL,
    path   TEXT    NOT NULL,
    PRIMARY KEY (family, nr)
) WITHOUT ROWID;

PRAGMA user_version = 2;
