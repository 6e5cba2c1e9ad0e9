package io.causticon.web.account;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SignInRepository extends JpaRepository<SignInRow, UUID> {

    /**
     * What a sign-in stands on, asked with every request: one question, and no entity of it.
     *
     * @param expiresAt when it ends
     * @param role of its account now
     */
    record StandsOn(Instant expiresAt, String role) {}

    /** Empty where it, its account or the password that it was begun with is not what it was. */
    @Query("""
            select new io.causticon.web.account.SignInRepository$StandsOn(s.expiresAt, a.role)
            from SignInRow s join Account a on a.id = s.accountId
            where s.id = :id and a.active = true and a.credentialVersion = s.credentialVersion""")
    Optional<StandsOn> standsOn(UUID id);

    void deleteByAccountId(UUID account);

    void deleteByAccountIdAndIdNot(UUID account, UUID kept);

    void deleteByExpiresAtBefore(Instant moment);

    long countByAccountId(UUID account);
}
