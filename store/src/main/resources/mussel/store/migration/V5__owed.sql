-- Jobs whose line and visit wait to be made, with the last entry each of them must reach.
CREATE TABLE owed (
    job  INTEGER PRIMARY KEY,
    upto INTEGER NOT NULL
);

CREATE INDEX owed_upto ON owed (upto);

INSERT INTO owed
SELECT e.job, max(e.seq) AS last
FROM entry e LEFT JOIN visit v ON v.job = e.job
GROUP BY e.job
HAVING last > coalesce(max(v.upto), 0);

-- What all jobs together have changed on the shelf.
CREATE TABLE shelf_now (
    family TEXT    NOT NULL,
    part   TEXT    NOT NULL,
    qty    INTEGER NOT NULL,
    PRIMARY KEY (family, part)
) WITHOUT ROWID;

INSERT INTO shelf_now
SELECT family, part, sum(qty) FROM bench_shelf GROUP BY family, part;

CREATE TRIGGER shelf_in AFTER INSERT ON bench_shelf
BEGIN
    INSERT INTO shelf_now VALUES (new.family, new.part, new.qty)
    ON CONFLICT (family, part) DO UPDATE SET qty = qty + excluded.qty;
END;

CREATE TRIGGER shelf_out AFTER DELETE ON bench_shelf
BEGIN
    UPDATE shelf_now SET qty = qty - old.qty WHERE family = old.family AND part = old.part;
END;

PRAGMA user_version = 5;
