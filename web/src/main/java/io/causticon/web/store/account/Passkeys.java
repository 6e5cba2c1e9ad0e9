package io.causticon.web.store.account;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import java.nio.ByteBuffer;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The passkeys of everybody, as whoever checks their signatures wants them (Web Authentication level 3, 4: credential
 * record), and whether a password alone still opens an account.
 */
@Service
public class Passkeys implements UserCredentialRepository {

    private static final int MOST_OF_ONE = 10;
    private static final int LONGEST_LABEL = 60;
    private static final int UUID_BYTES = 16;
    private static final String LABEL = "label";

    private final PasskeyRepository passkeys;
    private final AccountRepository accounts;
    private final Clock clock;

    Passkeys(PasskeyRepository passkeys, AccountRepository accounts, Clock clock) {
        this.passkeys = passkeys;
        this.accounts = accounts;
        this.clock = clock;
    }

    /**
     * One of them, as it is listed.
     *
     * @param id of it
     * @param label that its maker gave it
     * @param madeAt when
     * @param usedAt when it opened something last; null if it never did
     */
    public record Passkey(UUID id, String label, Instant madeAt, @Nullable Instant usedAt) {}

    /** Oldest first. */
    @Transactional(readOnly = true)
    public List<Passkey> of(UUID account) {
        return passkeys.findByAccountIdOrderByMadeAt(account).stream()
                .map(row -> new Passkey(row.id, row.label, row.madeAt, row.usedAt))
                .toList();
    }

    /**
     * Looks whether one more may be kept.
     *
     * @throws ProblemsException of the field {@code label}
     */
    @Transactional(readOnly = true)
    public void checkRoom(UUID account, String label) {
        if (label.length() > LONGEST_LABEL) {
            throw ProblemsException.of(LABEL, ProblemKey.TOO_LONG, label.length(), LONGEST_LABEL);
        }
        if (passkeys.countByAccountId(account) >= MOST_OF_ONE) {
            throw ProblemsException.of(LABEL, ProblemKey.TOO_MANY_PASSKEYS, MOST_OF_ONE);
        }
    }

    /** Takes one of hers away. With the last of them her password alone does again: she could not come in any more. */
    @Transactional
    public void takeAway(UUID account, UUID id) {
        passkeys.findById(id).filter(row -> row.accountId.equals(account)).ifPresent(passkeys::delete);
        passkeys.flush();
        if (passkeys.countByAccountId(account) == 0) {
            accounts.findById(account).ifPresent(a -> a.wantPasskeyToo(false));
        }
    }

    /** Whether her password alone is not enough. */
    @Transactional(readOnly = true)
    public boolean isWantedToo(UUID account) {
        return accounts.findById(account).filter(Account::wantsPasskeyToo).isPresent();
    }

    /**
     * Says whether her password alone is not enough.
     *
     * @throws ProblemsException of the field {@code passkeyToo} where she has none
     */
    @Transactional
    public void wantToo(UUID account, boolean wanted) {
        if (wanted && passkeys.countByAccountId(account) == 0) {
            throw ProblemsException.of("passkeyToo", ProblemKey.NO_PASSKEY);
        }
        accounts.findById(account).ifPresent(a -> a.wantPasskeyToo(wanted));
    }

    /** Lets somebody in by her password alone again, as her passkeys may be lost. */
    @Transactional
    public void letPasswordDo(String name) {
        accounts.findByName(AccountService.normal(name)).ifPresent(a -> a.wantPasskeyToo(false));
    }

    @Override
    @Transactional
    public void save(CredentialRecord told) {
        String credential = told.getCredentialId().toBase64UrlString();
        PasskeyRow row = passkeys.findByCredential(credential).orElse(null);
        if (row == null) {
            row = new PasskeyRow();
            row.credential = credential;
            row.accountId = account(told.getUserEntityUserId());
            row.label = told.getLabel();
            row.publicKey = told.getPublicKey().getBytes();
            row.attestation = bytes(told.getAttestationObject());
            row.clientData = bytes(told.getAttestationClientDataJSON());
            row.verified = told.isUvInitialized();
            row.mayBeCopied = told.isBackupEligible();
            row.madeAt = clock.instant();
        } else {
            row.usedAt = clock.instant();
        }
        row.signatureCount = told.getSignatureCount();
        row.isCopied = told.isBackupState();
        passkeys.save(row);
    }

    private static byte[] bytes(@Nullable Bytes told) {
        return told == null ? new byte[0] : told.getBytes();
    }

    @Override
    @Transactional(readOnly = true)
    public @Nullable CredentialRecord findByCredentialId(Bytes credential) {
        return passkeys.findByCredential(credential.toBase64UrlString())
                .map(Passkeys::told)
                .orElse(null);
    }

    @Override
    @Transactional(readOnly = true)
    public List<CredentialRecord> findByUserId(Bytes user) {
        return passkeys.findByAccountIdOrderByMadeAt(account(user)).stream()
                .map(Passkeys::told)
                .toList();
    }

    @Override
    @Transactional
    public void delete(Bytes credential) {
        passkeys.findByCredential(credential.toBase64UrlString()).ifPresent(passkeys::delete);
    }

    private static CredentialRecord told(PasskeyRow row) {
        return ImmutableCredentialRecord.builder()
                .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
                .credentialId(Bytes.fromBase64(row.credential))
                .userEntityUserId(user(row.accountId))
                .publicKey(new ImmutablePublicKeyCose(row.publicKey))
                .signatureCount(row.signatureCount)
                .uvInitialized(row.verified)
                .backupEligible(row.mayBeCopied)
                .backupState(row.isCopied)
                .transports(Set.of())
                .attestationObject(new Bytes(row.attestation))
                .attestationClientDataJSON(new Bytes(row.clientData))
                .created(row.madeAt)
                .lastUsed(Optional.ofNullable(row.usedAt).orElse(row.madeAt))
                .label(row.label)
                .build();
    }

    /** What a device knows an account by: its id, which says nothing of whose it is. */
    static Bytes user(UUID account) {
        return new Bytes(ByteBuffer.allocate(UUID_BYTES)
                .putLong(account.getMostSignificantBits())
                .putLong(account.getLeastSignificantBits())
                .array());
    }

    /** @throws IllegalArgumentException if it is no account's */
    public static UUID account(Bytes user) {
        ByteBuffer bytes = ByteBuffer.wrap(user.getBytes());
        if (bytes.remaining() != UUID_BYTES) {
            throw new IllegalArgumentException("no account is known by that");
        }
        return new UUID(bytes.getLong(), bytes.getLong());
    }

    /** Accounts as whoever checks signatures wants them. They are made and changed elsewhere. */
    @Service
    static class Owners implements PublicKeyCredentialUserEntityRepository {

        private final AccountRepository accounts;

        Owners(AccountRepository accounts) {
            this.accounts = accounts;
        }

        @Override
        @Transactional(readOnly = true)
        public @Nullable PublicKeyCredentialUserEntity findById(Bytes user) {
            return accounts.findById(account(user)).map(Owners::told).orElse(null);
        }

        @Override
        @Transactional(readOnly = true)
        public @Nullable PublicKeyCredentialUserEntity findByUsername(String name) {
            return accounts.findByName(AccountService.normal(name))
                    .map(Owners::told)
                    .orElse(null);
        }

        private static PublicKeyCredentialUserEntity told(Account account) {
            return ImmutablePublicKeyCredentialUserEntity.builder()
                    .id(user(account.id()))
                    .name(account.name())
                    .displayName(account.displayName())
                    .build();
        }

        @Override
        public void save(PublicKeyCredentialUserEntity user) {
            throw new UnsupportedOperationException("accounts are not made by passkeys");
        }

        @Override
        public void delete(Bytes user) {
            throw new UnsupportedOperationException("accounts are not taken away by passkeys");
        }
    }
}
