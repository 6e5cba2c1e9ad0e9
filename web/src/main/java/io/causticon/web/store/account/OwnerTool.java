package io.causticon.web.store.account;

import io.causticon.web.shared.Token;
import io.causticon.web.store.file.BackupFault;
import io.causticon.web.store.file.DataFile;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * Makes somebody who has an account an owner, with a new password, from the command line: {@code owner DATA NAME}.
 * Whoever may write the file of the data has that power anyway; without this a workshop whose owner is gone, or has
 * forgotten, could not be opened any more. Works while Causticon does not run, and stands in the trail.
 */
public final class OwnerTool {

    private static final int LETTERS = 16;

    private OwnerTool() {}

    public static void main(String[] args) {
        try {
            run(System.out, args);
        } catch (BackupFault e) {
            System.err.println("causticon: " + e.getMessage());
            System.exit(1);
        }
    }

    /** @throws BackupFault in words, if nothing was changed */
    public static void run(PrintStream out, String... args) {
        if (args.length != 2 || args[1].isBlank()) {
            throw new BackupFault("owner wants the name that somebody signs in with");
        }
        Path data = Path.of(args[0]).toAbsolutePath().normalize();
        if (!Files.exists(data.resolve(DataFile.NAME))) {
            throw new BackupFault("There are no data in " + data + ".");
        }
        String name = AccountService.normal(args[1]);
        String password = Token.fresh().substring(0, LETTERS);
        try (Connection connection = DataFile.open(data)) {
            connection.setAutoCommit(false);
            checkTables(connection, data);
            if (!become(connection, name, password)) {
                throw new BackupFault("Nobody signs in as " + name + ". Nothing was changed.");
            }
            tell(connection, name);
            connection.commit();
        } catch (SQLException e) {
            throw new BackupFault(
                    DataFile.isOpenElsewhere(e)
                            ? "Causticon is running with " + data + ". Stop it first. Nothing was changed."
                            : "The data in " + data + " cannot be changed: " + e.getMessage(),
                    e);
        }
        out.println(name + " is an owner now, and signs in with " + password);
        out.println("Change it under Settings. Everywhere else " + name + " is signed out;"
                + " the password alone is enough.");
    }

    /** This program brings data of an earlier one up to date when it starts, and not here. */
    private static void checkTables(Connection connection, Path data) throws SQLException {
        try (ResultSet column = connection.getMetaData().getColumns(null, null, "ACCOUNT", "PASSKEY_TOO")) {
            if (!column.next()) {
                throw new BackupFault("The data in " + data + " are of an earlier Causticon. Start it with them once,"
                        + " stop it, and come back. Nothing was changed.");
            }
        }
    }

    /** Every sign-in of hers ends, as the password that it was made with does. */
    private static boolean become(Connection connection, String name, String password) throws SQLException {
        try (PreparedStatement account = connection.prepareStatement(
                "update account set role = 'OWNER', active = true, password_hash = ?, credential_version ="
                        + " credential_version + 1, passkey_too = false where name = ?")) {
            account.setString(1, "{bcrypt}" + new BCryptPasswordEncoder().encode(password));
            account.setString(2, name);
            return account.executeUpdate() == 1;
        }
    }

    private static void tell(Connection connection, String name) throws SQLException {
        try (PreparedStatement deed = connection.prepareStatement(
                "insert into deed (done_at, name, device, what, subject) values (?, ?, ?, ?, ?)")) {
            deed.setObject(1, OffsetDateTime.now(ZoneOffset.UTC));
            deed.setString(2, name);
            deed.setString(3, "the machine itself");
            deed.setString(4, "was made an owner from the command line");
            deed.setString(5, "");
            deed.executeUpdate();
        }
    }
}
