package io.causticon.web.store.dates;

import io.causticon.web.shared.Token;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Private addresses of calendars: one for each who signs in, told once, taken back at any time, and nothing once she
 * may not sign in any more.
 */
@Service
public class Feeds {

    private final FeedRepository feeds;
    private final AccountService accounts;
    private final Clock clock;

    Feeds(FeedRepository feeds, AccountService accounts, Clock clock) {
        this.feeds = feeds;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Makes a new address; an earlier one leads nowhere from now on. */
    @Transactional
    public String make(Maker maker) {
        String token = Token.fresh();
        FeedRow row = feeds.findById(maker.name()).orElseGet(FeedRow::new);
        row.account = maker.name();
        row.tokenHash = Token.hash(token);
        row.madeAt = clock.instant();
        feeds.save(row);
        return token;
    }

    @Transactional
    public void revoke(Maker maker) {
        feeds.findById(maker.name()).ifPresent(feeds::delete);
    }

    /** When hers was made; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<Instant> madeAt(Maker maker) {
        return feeds.findById(maker.name()).map(r -> r.madeAt);
    }

    /** Whose it is, as long as she may sign in. */
    @Transactional(readOnly = true)
    public Optional<Maker> whose(String token) {
        return feeds.findByTokenHash(Token.hash(token)).flatMap(r -> accounts.active(r.account));
    }
}
