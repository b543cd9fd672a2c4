package mussel.store;

import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.JavaMigration;

/** A step from one version of the log's tables to the next that SQL alone cannot make; in one transaction. */
abstract class LogMigration implements JavaMigration {
    private final String version;
    private final String description;

    LogMigration(String version, String description) {
        this.version = version;
        this.description = description;
    }

    @Override
    public final MigrationVersion getVersion() {
        return MigrationVersion.fromVersion(version);
    }

    @Override
    public final String getDescription() {
        return description;
    }

    @Override
    public final Integer getChecksum() {
        return null;
    }

    @Override
    public final boolean canExecuteInTransaction() {
        return true;
    }
}
