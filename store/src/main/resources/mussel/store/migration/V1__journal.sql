-- The journal: appended to, never changed. The database itself refuses anything else.
CREATE TABLE entry (
    seq  INTEGER PRIMARY KEY AUTOINCREMENT,
    job  INTEGER NOT NULL,
    at   TEXT    NOT NULL,
    by   TEXT    NOT NULL,
    fact TEXT    NOT NULL
);

CREATE INDEX entry_of_job ON entry (job, seq);

CREATE TRIGGER entry_is_never_changed BEFORE UPDATE ON entry
BEGIN
    SELECT RAISE(ABORT, 'the journal is append-only');
END;

CREATE TRIGGER entry_is_never_removed BEFORE DELETE ON entry
BEGIN
    SELECT RAISE(ABORT, 'the journal is append-only');
END;

CREATE TABLE setting (
    key   TEXT PRIMARY KEY,
    value TEXT NOT NULL
) WITHOUT ROWID;

-- 'MUSL', so that a file says what it is; the version is read before anything else is done to it.
PRAGMA application_id = 1297437516;
PRAGMA user_version = 1;
