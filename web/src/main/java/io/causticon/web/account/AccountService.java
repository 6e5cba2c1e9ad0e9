package io.causticon.web.account;

import io.causticon.core.notation.Units;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Temperature;
import java.time.Clock;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
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
    private static final double COLDEST_ROOM = -10;
    private static final double WARMEST_ROOM = 45;

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

    /** Makes or changes the workshop. */
    @Transactional
    public void saveWorkshop(String name, String zone, double roomCelsius) {
        Problems problems = new Problems();
        if (name.isBlank()) {
            problems.add("workshop", ProblemKey.MISSING);
        }
        if (!ZoneId.getAvailableZoneIds().contains(zone)) {
            problems.add("zone", ProblemKey.NOT_A_CHOICE, zone);
        }
        if (roomCelsius < COLDEST_ROOM || roomCelsius > WARMEST_ROOM) {
            ProblemKey key = roomCelsius < COLDEST_ROOM ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH;
            double limit = roomCelsius < COLDEST_ROOM ? COLDEST_ROOM : WARMEST_ROOM;
            problems.add(
                    "room", key, "ROOM", Temperature.celsius(roomCelsius), Temperature.celsius(limit));
        }
        problems.throwIfAny();
        workshops.findById(Workshop.ONLY).ifPresentOrElse(
                w -> w.change(name.trim(), zone, roomCelsius),
                () -> workshops.save(new Workshop(name.trim(), "", zone, roomCelsius)));
    }

    /** Says what money prices are in. */
    @Transactional
    public void payIn(String currency) {
        String code = currency.trim().toUpperCase(Locale.ROOT);
        if (Currency.getAvailableCurrencies().stream().noneMatch(c -> c.getCurrencyCode().equals(code))) {
            throw ProblemsException.of("currency", ProblemKey.NOT_A_CHOICE, currency);
        }
        workshops.findById(Workshop.ONLY).ifPresent(w -> w.pay(code));
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
        return workshops.findById(Workshop.ONLY).orElseGet(() -> new Workshop("Workshop", "", "UTC", 20));
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
