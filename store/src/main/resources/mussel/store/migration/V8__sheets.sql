-- Sheets that jobs were worked by, under the names their content gives them, deflated (gzip).
CREATE TABLE sheet (
    nr      INTEGER PRIMARY KEY,
    name    TEXT NOT NULL UNIQUE,
    content BLOB NOT NULL
);

CREATE TRIGGER sheet_is_never_changed BEFORE UPDATE ON sheet
BEGIN
    SELECT RAISE(ABORT, 'a sheet that jobs were worked by stays as it is');
END;

PRAGMA user_version = 8;
