package io.causticon.web.store.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who is signed in where. A sign-in counts as long as its row is there, it is not too old, its account may sign in, and
 * the account's password is still the one that it was made with.
 */
@Service
public class SignIns {

    /** So long a sign-in lasts that nobody uses. */
    public static final Duration KEPT = Duration.ofDays(14);

    /** So long the longest lasts, however often it is used: then the password is asked for again. */
    static final Duration LONGEST = Duration.ofDays(90);

    private static final Duration RENEWED_AFTER = Duration.ofDays(1);

    private final SignInRepository signIns;
    private final AccountRepository accounts;
    private final Makers makers;
    private final Clock clock;
    private final ApplicationEventPublisher told;

    SignIns(
            SignInRepository signIns,
            AccountRepository accounts,
            Makers makers,
            Clock clock,
            ApplicationEventPublisher told) {
        this.signIns = signIns;
        this.accounts = accounts;
        this.makers = makers;
        this.clock = clock;
        this.told = told;
    }

    /**
     * How a sign-in stands.
     *
     * @param maker as she is now
     * @param renew whether it should be made to last longer, as she is still there
     */
    public record Standing(Maker maker, boolean renew) {}

    /** Keeps a sign-in whose password was just found to be right. */
    @Transactional
    public void begin(SignedIn who, String secret) {
        signIns.deleteByExpiresAtBefore(clock.instant());
        SignInRow row = new SignInRow();
        row.id = who.signIn();
        row.accountId = who.account();
        row.secretHash = hash(secret);
        row.credentialVersion = who.credentialVersion();
        row.begunAt = clock.instant();
        row.expiresAt = row.begunAt.plus(KEPT);
        signIns.save(row);
    }

    /** Empty if it no longer counts. */
    public Optional<Standing> standing(UUID signIn) {
        Instant now = clock.instant();
        return makers.by(signIn)
                .filter(here -> here.expiresAt().isAfter(now))
                .map(here -> new Standing(
                        here.maker(),
                        here.expiresAt().isBefore(end(here.begunAt(), now).minus(RENEWED_AFTER))));
    }

    /** When one ends that is used now. */
    private static Instant end(Instant begun, Instant now) {
        Instant last = begun.plus(LONGEST);
        return now.plus(KEPT).isBefore(last) ? now.plus(KEPT) : last;
    }

    /** Name of whoever a browser remembers, if its secret is right and it still counts. */
    @Transactional(readOnly = true)
    public Optional<String> remembered(UUID signIn, String secret) {
        return signIns.findById(signIn)
                .filter(row -> row.expiresAt.isAfter(clock.instant()))
                .filter(row -> MessageDigest.isEqual(bytes(row.secretHash), bytes(hash(secret))))
                .flatMap(row -> account(row).map(Account::name));
    }

    @Transactional
    public void renew(UUID signIn) {
        signIns.findById(signIn).ifPresent(row -> row.expiresAt = end(row.begunAt, clock.instant()));
    }

    @Transactional
    public void end(UUID signIn) {
        signIns.deleteById(signIn);
        told.publishEvent(SignInsEnded.one(signIn));
    }

    /** Ends one that only a cookie tells of, if its secret is right. */
    @Transactional
    public void end(UUID signIn, String secret) {
        if (remembered(signIn, secret).isPresent()) {
            end(signIn);
        }
    }

    @Transactional
    public void endAll(UUID account) {
        signIns.deleteByAccountId(account);
        told.publishEvent(SignInsEnded.allOf(account, null));
    }

    @Transactional(readOnly = true)
    long count(UUID account) {
        return signIns.countByAccountId(account);
    }

    private Optional<Account> account(SignInRow row) {
        return accounts.findById(row.accountId)
                .filter(a -> a.active() && a.credentialVersion() == row.credentialVersion);
    }

    private static String hash(String secret) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes(secret)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Impossible state: no SHA-256", e);
        }
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
