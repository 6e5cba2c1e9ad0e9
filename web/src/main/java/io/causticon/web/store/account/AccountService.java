package io.causticon.web.store.account;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.DoubleFunction;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Accounts and the workshop. */
@Service
public class AccountService implements UserDetailsService {

    static final int SHORTEST_PASSWORD = 10;

    private static final int LONGEST_PASSWORD = 72;
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_DISPLAY_NAME = 60;
    private static final int LONGEST_WORKSHOP = 80;

    private final AccountRepository accounts;
    private final WorkshopRepository workshops;
    private final SignInRepository signIns;
    private final Makers makers;
    private final PasswordEncoder passwords;
    private final PasswordTries tries;
    private final GuessedFirst guessedFirst;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ApplicationEventPublisher told;
    private final Object opening = new Object();

    AccountService(
            AccountRepository accounts,
            WorkshopRepository workshops,
            SignInRepository signIns,
            Makers makers,
            PasswordEncoder passwords,
            PasswordTries tries,
            GuessedFirst guessedFirst,
            PlatformTransactionManager transactions,
            Clock clock,
            ApplicationEventPublisher told) {
        this.accounts = accounts;
        this.workshops = workshops;
        this.signIns = signIns;
        this.makers = makers;
        this.passwords = passwords;
        this.tries = tries;
        this.guessedFirst = guessedFirst;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
        this.told = told;
    }

    /** Whether nobody owns the workshop yet. */
    @Transactional(readOnly = true)
    public boolean isNew() {
        return accounts.count() == 0;
    }

    @Override
    @Transactional(readOnly = true)
    public SignedIn loadUserByUsername(String name) {
        return accounts.findByName(normal(name))
                .map(AccountService::signedIn)
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    /** Somebody who may sign in, by a sign-in that is new; empty where nobody may, or not any more. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> signedIn(UUID account) {
        return accounts.findById(account).filter(Account::active).map(AccountService::signedIn);
    }

    private static SignedIn signedIn(Account account) {
        return new SignedIn(
                UUID.randomUUID(),
                account.id(),
                account.name(),
                account.passwordHash(),
                account.role(),
                account.active(),
                account.credentialVersion(),
                account.wantsPasskeyToo());
    }

    /** @throws UsernameNotFoundException if the account is gone */
    public Maker maker(String name) {
        return makers.named(normal(name)).orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    /** Who may sign in by this name; empty where nobody may, or not any more. */
    @Transactional(readOnly = true)
    public Optional<Maker> active(String name) {
        return accounts.findByName(normal(name)).filter(Account::active).map(a -> maker(a.name()));
    }

    /** The workshop's zone. */
    @Transactional(readOnly = true)
    public ZoneId zone() {
        return workshop().zoneId();
    }

    /**
     * Opens a new workshop with its owner, all of it or nothing; of two who do so at the same moment the first alone.
     *
     * @param units that its owner thinks in
     * @throws ProblemsException with everything that keeps it from being opened
     */
    public void open(
            String workshop,
            String zone,
            Temperature room,
            String name,
            String displayName,
            String password,
            Units units) {
        synchronized (opening) {
            transaction.executeWithoutResult(t -> {
                Problems problems = new Problems();
                if (accounts.count() > 0) {
                    problems.add("name", ProblemKey.NAME_TAKEN, name);
                }
                check(workshop, zone, room, problems);
                checkPerson(name, displayName, password, workshop, problems);
                problems.throwIfAny();
                workshops.save(new Workshop(workshop.trim(), zone, room.celsius()));
                Account owner = save(name, displayName, password, Role.OWNER);
                owner.prefer(units, owner.theme());
            });
        }
    }

    /**
     * Makes an account.
     *
     * @throws ProblemsException with everything that keeps it from being made
     */
    @Transactional
    public void create(String name, String displayName, String password, Role role) {
        Problems problems = new Problems();
        checkPerson(name, displayName, password, workshop().name(), problems);
        problems.throwIfAny();
        save(name, displayName, password, role);
    }

    private Account save(String name, String displayName, String password, Role role) {
        String shown = displayName.isBlank() ? name.trim() : displayName.trim();
        return accounts.save(new Account(normal(name), shown, passwords.encode(password), role, clock.instant()));
    }

    private void checkPerson(
            String name, String displayName, String password, String workshop, Problems problems) {
        String normal = normal(name);
        if (normal.isEmpty()) {
            problems.add("name", ProblemKey.MISSING);
        } else if (normal.length() > LONGEST_NAME) {
            problems.add("name", ProblemKey.TOO_LONG, normal.length(), LONGEST_NAME);
        } else if (accounts.findByName(normal).isPresent()) {
            problems.add("name", ProblemKey.NAME_TAKEN, normal);
        }
        if (displayName.trim().length() > LONGEST_DISPLAY_NAME) {
            problems.add("displayName", ProblemKey.TOO_LONG, displayName.trim().length(), LONGEST_DISPLAY_NAME);
        }
        checkPassword(password, problems, name, displayName, workshop);
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
    public record Habits(
            String name, String zone, Temperature room, Temperature mixAt, TemperatureChange within, String currency) {}

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
        if (Currency.getAvailableCurrencies().stream()
                .noneMatch(c -> c.getCurrencyCode().equals(currency))) {
            problems.add("currency", ProblemKey.NOT_A_CHOICE, habits.currency());
        }
        checkRange(
                "mixAt",
                "Mixing temperature",
                habits.mixAt().celsius(),
                Workshop.MIXING,
                Temperature::celsius,
                problems);
        checkRange(
                "within",
                "The difference",
                habits.within().kelvin(),
                Workshop.WITHIN,
                TemperatureChange::kelvin,
                problems);
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
        } else if (name.trim().length() > LONGEST_WORKSHOP) {
            problems.add("workshop", ProblemKey.TOO_LONG, name.trim().length(), LONGEST_WORKSHOP);
        }
        if (!Workshop.ZONES.contains(zone)) {
            problems.add("zone", ProblemKey.NOT_A_CHOICE, zone);
        }
        checkRange("room", "ROOM", room.celsius(), Workshop.ROOM, Temperature::celsius, problems);
    }

    private static void checkRange(
            String field,
            String name,
            double value,
            Interval possible,
            DoubleFunction<Object> quantity,
            Problems problems) {
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

    /**
     * Looks whether a password is right, for somebody who is signed in. A right one is a deed, and stands in the trail.
     *
     * @param knock from where: wrong ones are counted as those at the door are
     * @throws ProblemsException of the field {@code again} where it is not, or was wrong too often
     */
    @Transactional
    public void prove(String name, String password, Knock knock) {
        Account account = accounts.findByName(normal(name)).orElseThrow();
        Problems problems = new Problems();
        check(account, password, knock, "again", problems);
        problems.throwIfAny();
    }

    private void check(Account account, String password, Knock knock, String field, Problems problems) {
        Duration wait = tries.tryNow(account.name(), knock);
        if (!wait.isZero()) {
            throw ProblemsException.of(field, ProblemKey.TOO_MANY_TRIES, wait.toSeconds() + 1);
        }
        if (passwords.matches(password, account.passwordHash())) {
            tries.succeeded(account.name(), knock);
        } else {
            problems.add(field, ProblemKey.WRONG_PASSWORD);
        }
    }

    /**
     * Changes a password and ends every sign-in but the one in which that is done.
     *
     * @param here the sign-in that stays
     * @param knock from where: wrong ones are counted as those at the door are
     */
    @Transactional
    public void changePassword(String name, String old, String fresh, UUID here, Knock knock) {
        Account account = accounts.findByName(normal(name)).orElseThrow();
        Problems problems = new Problems();
        check(account, old, knock, "old", problems);
        checkPassword(fresh, problems, account.name(), account.displayName(), workshop().name());
        problems.throwIfAny();
        account.changePassword(passwords.encode(fresh));
        signIns.deleteByAccountIdAndIdNot(account.id(), here);
        told.publishEvent(SignInsEnded.allOf(account.id(), here));
        signIns.findById(here).ifPresent(row -> row.credentialVersion = account.credentialVersion());
    }

    /**
     * Gives somebody other powers, or none.
     *
     * @throws ProblemsException if nobody is called so, or the last owner would be none any more
     */
    @Transactional
    public void become(String name, Role role, boolean active) {
        // Held before anybody is looked at, so that two owners cannot put one another down in one moment.
        List<Account> owners = accounts.findByRoleAndActiveOrderById(Role.OWNER.name(), true);
        Account account = accounts.findByName(normal(name))
                .orElseThrow(() -> ProblemsException.of("role", ProblemKey.NOT_A_CHOICE, name));
        boolean lastOwner = owners.size() == 1 && owners.get(0).id().equals(account.id());
        Problems problems = new Problems();
        if (lastOwner && (role != Role.OWNER || !active)) {
            problems.add("role", ProblemKey.LAST_OWNER);
        }
        problems.throwIfAny();
        account.become(role, active);
        if (!active) {
            signIns.deleteByAccountId(account.id());
            told.publishEvent(SignInsEnded.allOf(account.id(), null));
        }
    }

    /**
     * Somebody who signs in, or did.
     *
     * @param name what she signs in with
     * @param displayName what is written beside her entries
     * @param role what she may do
     * @param active whether she may sign in now
     * @param wantsPasskeyToo whether her password alone is not enough
     */
    public record Person(String name, String displayName, Role role, boolean active, boolean wantsPasskeyToo) {}

    /** By name. */
    @Transactional(readOnly = true)
    public List<Person> people() {
        return accounts.findAllByOrderByName().stream()
                .map(a -> new Person(a.name(), a.displayName(), a.role(), a.active(), a.wantsPasskeyToo()))
                .toList();
    }

    private Workshop workshop() {
        return workshops.findById(Workshop.ONLY).orElseGet(Workshop::notSetUp);
    }

    private void checkPassword(String password, Problems problems, String... names) {
        if (password.length() < SHORTEST_PASSWORD) {
            problems.add("password", ProblemKey.TOO_SHORT, password.length(), SHORTEST_PASSWORD);
        } else if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
            int bytes = password.getBytes(StandardCharsets.UTF_8).length;
            problems.add(
                    "password",
                    bytes == password.length() ? ProblemKey.TOO_LONG : ProblemKey.TOO_MANY_BYTES,
                    bytes,
                    LONGEST_PASSWORD);
        } else {
            guessedFirst.problem(password, names).ifPresent(p -> problems.add("password", p));
        }
    }

    /** A name as it is compared: nobody hears capitals. */
    public static String normal(String name) {
        return name.trim().toLowerCase(Locale.ROOT);
    }
}
