package io.causticon.web.account;

import io.causticon.core.notation.Units;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import java.time.Clock;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts and the workshop. */
@Service
public class AccountService implements UserDetailsService {

    static final int SHORTEST_PASSWORD = 10;
    private static final int LONGEST_PASSWORD = 72;
    private static final int LONGEST_NAME = 40;
    private static final Interval ROOM = Interval.between(-10, 45);
    private static final Interval MIXING = Interval.between(15, 70);
    private static final Interval WITHIN = Interval.between(2, 30);

    private final AccountRepository accounts;
    private final WorkshopRepository workshops;
    private final PasswordEncoder passwords;
    private final Clock clock;

    AccountService(
            AccountRepository accounts, WorkshopRepository workshops, PasswordEncoder passwords, Clock clock) {
        this.accounts = accounts;
        this.workshops = workshops;
        this.passwords = passwords;
        this.clock = clock;
    }

    /** Whether nobody owns the workshop yet. */
    @Transactional(readOnly = true)
    public boolean isNew() {
        return accounts.count() == 0;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String name) {
        Account account = accounts.findByName(normal(name))
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
        return User.withUsername(account.name())
                .password(account.passwordHash())
                .roles(account.role().name())
                .disabled(!account.active())
                .build();
    }

    /** @throws UsernameNotFoundException if the account is gone */
    @Transactional(readOnly = true)
    public Maker maker(String name) {
        Account account = accounts.findByName(normal(name))
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
        Workshop workshop = workshop();
        return new Maker(
                account.name(),
                account.displayName(),
                account.role(),
                account.units(),
                account.theme(),
                workshop.name(),
                ZoneId.of(workshop.zone()),
                Temperature.celsius(workshop.roomCelsius()),
                Temperature.celsius(workshop.mixAtCelsius()),
                TemperatureChange.kelvin(workshop.matchWithinKelvin()),
                workshop.currency());
    }

    /**
     * Makes an account.
     *
     * @throws io.causticon.core.problem.ProblemsException with everything that keeps it from being made
     */
    @Transactional
    public void create(String name, String displayName, String password, Role role) {
        Problems problems = new Problems();
        String normal = normal(name);
        if (normal.isEmpty()) {
            problems.add("name", ProblemKey.MISSING);
        } else if (normal.length() > LONGEST_NAME) {
            problems.add("name", ProblemKey.TOO_LONG, normal.length(), LONGEST_NAME);
        } else if (accounts.findByName(normal).isPresent()) {
            problems.add("name", ProblemKey.NAME_TAKEN, normal);
        }
        checkPassword(password, problems);
        problems.throwIfAny();
        String shown = displayName.isBlank() ? name.trim() : displayName.trim();
        accounts.save(new Account(normal, shown, passwords.encode(password), role, clock.instant()));
    }

    /** Makes the workshop, with the usual habits. */
    @Transactional
    public void openWorkshop(String name, String zone, Temperature room) {
        Problems problems = new Problems();
        check(name, zone, room, problems);
        problems.throwIfAny();
        workshops.save(new Workshop(name.trim(), zone, room.celsius()));
    }

    /**
     * What a workshop is called and how it works.
     *
     * @param name of it
     * @param zone its time zone
     * @param room usual temperature
     * @param mixAt where lye and fats usually meet, 15 to 70 C
     * @param within how close they should be, 2 to 30 K; makers disagree, and thirty is as good as not at all
     * @param currency that prices are in (ISO 4217)
     */
    record Habits(String name, String zone, Temperature room, Temperature mixAt, TemperatureChange within, String currency) {}

    /**
     * Changes the workshop, all of it or nothing.
     *
     * @param problems found so far, while reading what was typed
     * @throws ProblemsException with those and everything else
     */
    @Transactional
    public void change(Habits habits, Problems problems) {
        check(habits.name(), habits.zone(), habits.room(), problems);
        String currency = habits.currency().trim().toUpperCase(Locale.ROOT);
        if (Currency.getAvailableCurrencies().stream().noneMatch(c -> c.getCurrencyCode().equals(currency))) {
            problems.add("currency", ProblemKey.NOT_A_CHOICE, habits.currency());
        }
        checkRange("mixAt", "Mixing temperature", habits.mixAt().celsius(), MIXING, Temperature::celsius, problems);
        checkRange("within", "The difference", habits.within().kelvin(), WITHIN, TemperatureChange::kelvin, problems);
        problems.throwIfAny();
        Workshop workshop = workshop();
        workshop.change(habits.name().trim(), habits.zone(), habits.room().celsius());
        workshop.mix(habits.mixAt().celsius(), habits.within().kelvin());
        workshop.pay(currency);
        workshops.save(workshop);
    }

    private static void check(String name, String zone, Temperature room, Problems problems) {
        if (name.isBlank()) {
            problems.add("workshop", ProblemKey.MISSING);
        }
        if (!ZoneId.getAvailableZoneIds().contains(zone)) {
            problems.add("zone", ProblemKey.NOT_A_CHOICE, zone);
        }
        checkRange("room", "ROOM", room.celsius(), ROOM, Temperature::celsius, problems);
    }

    private static void checkRange(
            String field, String name, double value, Interval possible, DoubleFunction<Object> quantity, Problems problems) {
        if (!possible.contains(value)) {
            boolean low = value < possible.low();
            problems.add(
                    field,
                    low ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    name,
                    quantity.apply(value),
                    quantity.apply(low ? possible.low() : possible.high()));
        }
    }

    @Transactional
    public void prefer(String name, Units units, String theme) {
        accounts.findByName(normal(name)).ifPresent(a -> a.prefer(units, "night".equals(theme) ? "night" : "day"));
    }

    @Transactional
    void changePassword(String name, String old, String fresh) {
        Account account = accounts.findByName(normal(name)).orElseThrow();
        Problems problems = new Problems();
        if (!passwords.matches(old, account.passwordHash())) {
            problems.add("old", ProblemKey.WRONG_PASSWORD);
        }
        checkPassword(fresh, problems);
        problems.throwIfAny();
        account.changePassword(passwords.encode(fresh));
    }

    @Transactional
    void become(String name, Role role, boolean active) {
        Account account = accounts.findByName(normal(name)).orElseThrow();
        boolean lastOwner = account.role() == Role.OWNER
                && account.active()
                && accounts.countByRoleAndActive(Role.OWNER, true) == 1;
        Problems problems = new Problems();
        if (lastOwner && (role != Role.OWNER || !active)) {
            problems.add("role", ProblemKey.LAST_OWNER);
        }
        problems.throwIfAny();
        account.become(role, active);
    }

    @Transactional(readOnly = true)
    List<Account> all() {
        return accounts.findAllByOrderByName();
    }

    private Workshop workshop() {
        return workshops.findById(Workshop.ONLY).orElseGet(() -> new Workshop("Workshop", "UTC", 20));
    }

    private static void checkPassword(String password, Problems problems) {
        if (password.length() < SHORTEST_PASSWORD) {
            problems.add("password", ProblemKey.TOO_SHORT, password.length(), SHORTEST_PASSWORD);
        } else if (password.length() > LONGEST_PASSWORD) {
            problems.add("password", ProblemKey.TOO_LONG, password.length(), LONGEST_PASSWORD);
        }
    }

    private static String normal(String name) {
        return name.trim().toLowerCase(Locale.ROOT);
    }
}
