package io.causticon.web.store.account;

import io.causticon.core.model.said.notation.Units;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Who is at the screen. Asked with every request: one question by a plain statement, with the account, the workshop
 * that it works in and, where she is signed in, what that stands on.
 */
@Component
class Makers {

    private static final String WHAT =
            "select a.name, a.display_name, a.role, a.mass_unit, a.temperature_unit, a.theme, w.name workshop, w.zone,"
                    + " w.room_celsius, w.mix_at_celsius, w.match_within_kelvin, w.currency";
    private static final String HER_WORKSHOP = " left join workshop w on w.id = " + Workshop.ONLY;

    private final JdbcTemplate jdbc;

    Makers(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Somebody who is signed in.
     *
     * @param maker as she is now
     * @param begunAt when her password was checked
     * @param expiresAt when the sign-in ends
     */
    record SignedInHere(Maker maker, Instant begunAt, Instant expiresAt) {}

    /** Empty where the sign-in, its account or the password that it was begun with is not what it was. */
    Optional<SignedInHere> by(UUID signIn) {
        return jdbc.query(
                WHAT + ", s.begun_at, s.expires_at from sign_in s join account a on a.id = s.account_id" + HER_WORKSHOP
                        + " where s.id = ? and a.active = true and a.credential_version = s.credential_version",
                found -> found.next()
                        ? Optional.of(new SignedInHere(
                                maker(found), moment(found, "begun_at"), moment(found, "expires_at")))
                        : Optional.empty(),
                signIn);
    }

    /** @param name as it is compared */
    Optional<Maker> named(String name) {
        return jdbc.query(
                WHAT + " from account a" + HER_WORKSHOP + " where a.name = ?",
                found -> found.next() ? Optional.of(maker(found)) : Optional.empty(),
                name);
    }

    private static Instant moment(ResultSet row, String column) throws SQLException {
        return row.getObject(column, OffsetDateTime.class).toInstant();
    }

    private static Maker maker(ResultSet row) throws SQLException {
        Workshop workshop = workshop(row);
        Units units = Account.units(row.getString("mass_unit"), row.getString("temperature_unit"));
        return new Maker(
                row.getString("name"),
                row.getString("display_name"),
                Account.roleNamed(row.getString("role")),
                units,
                row.getString("theme"),
                workshop.name(),
                workshop.zoneId(),
                workshop.room(),
                workshop.mixAt(),
                workshop.matchWithin(),
                workshop.currency());
    }

    private static Workshop workshop(ResultSet row) throws SQLException {
        String name = row.getString("workshop");
        if (name == null) {
            return Workshop.notSetUp();
        }
        Workshop workshop = new Workshop(name, row.getString("zone"), row.getDouble("room_celsius"));
        workshop.mix(row.getDouble("mix_at_celsius"), row.getDouble("match_within_kelvin"));
        workshop.pay(row.getString("currency"));
        return workshop;
    }
}
