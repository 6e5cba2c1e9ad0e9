package io.causticon.web.store.token;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.Token;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The tokens of programs. */
@Service
public class AccessTokens {

    private static final int LONGEST_NAME = 40;
    private static final Limit SHOWN = Limit.of(100);

    /** No workshop has more programs; each is looked at by somebody. */
    private static final int MOST = 50;

    /** How exactly it is known when one was used: not every question is worth a write. */
    private static final Duration USED_TO_THE = Duration.ofMinutes(5);

    private final AccessTokenRepository tokens;
    private final AccountService accounts;
    private final Clock clock;

    AccessTokens(AccessTokenRepository tokens, AccountService accounts, Clock clock) {
        this.tokens = tokens;
        this.accounts = accounts;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<AccessTokenRow> all() {
        return tokens.findByOrderByMadeAtDesc(SHOWN);
    }

    /**
     * Makes one.
     *
     * @param endsOn the last day on which it is taken; null for no end
     * @return the token itself, which cannot be read again
     * @throws io.causticon.core.problem.ProblemsException with everything that keeps it from being made
     */
    @Transactional
    public String make(String name, Set<Scope> scopes, @Nullable LocalDate endsOn, Maker by) {
        String called = name.trim();
        Problems problems = new Problems();
        if (called.isEmpty()) {
            problems.add("name", ProblemKey.MISSING);
        } else if (called.length() > LONGEST_NAME) {
            problems.add("name", ProblemKey.TOO_LONG, called.length(), LONGEST_NAME);
        } else if (tokens.existsByNameAndWithdrawnAtIsNull(called)) {
            problems.add("name", ProblemKey.NAME_TAKEN, called);
        }
        if (scopes.isEmpty()) {
            problems.add("scopes", ProblemKey.MISSING);
        }
        if (endsOn != null && endsOn.isBefore(LocalDate.ofInstant(clock.instant(), by.zone()))) {
            problems.add("endsOn", ProblemKey.DAY_IS_PAST, endsOn);
        }
        if (tokens.countByWithdrawnAtIsNull() >= MOST) {
            problems.add("name", ProblemKey.TOO_MANY, MOST + 1, MOST);
        }
        problems.throwIfAny();
        String token = Token.fresh();
        AccessTokenRow row = new AccessTokenRow();
        row.name = called;
        row.tokenHash = Token.hash(token);
        row.scopes = EnumSet.copyOf(scopes).stream().map(Scope::name).collect(Collectors.joining(","));
        row.accountName = by.name();
        row.madeAt = clock.instant();
        row.endsOn = endsOn;
        tokens.save(row);
        return token;
    }

    /** From now on it is no token any more. */
    @Transactional
    public void withdraw(UUID id) {
        AccessTokenRow row = tokens.findById(id).orElseThrow(() -> new NotFoundException("token " + id));
        if (row.withdrawnAt == null) {
            row.withdrawnAt = clock.instant();
        }
    }

    /** Whether it is one at all; what it may is looked at by whoever serves it. */
    @Transactional(readOnly = true)
    public boolean isKnown(String token) {
        return tokens.findByTokenHashAndWithdrawnAtIsNull(Token.hash(token)).isPresent();
    }

    /** Whose token it is; empty where it is none, is over, or whoever it acts for may not write any more. */
    @Transactional
    public Optional<Caller> caller(String token) {
        Instant now = clock.instant();
        return tokens.findByTokenHashAndWithdrawnAtIsNull(Token.hash(token))
                .flatMap(row -> accounts.active(row.accountName)
                        .filter(m -> m.role().canWrite())
                        .filter(m -> row.endsOn == null || !row.endsOn.isBefore(LocalDate.ofInstant(now, m.zone())))
                        .map(m -> {
                            if (row.usedAt == null
                                    || Duration.between(row.usedAt, now).compareTo(USED_TO_THE) > 0) {
                                row.usedAt = now;
                            }
                            return new Caller(row.id, row.name, row.allows(), m);
                        }));
    }
}
