package io.causticon.web.store.account;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SignInRepository extends JpaRepository<SignInRow, UUID> {

    void deleteByAccountId(UUID account);

    void deleteByAccountIdAndIdNot(UUID account, UUID kept);

    void deleteByExpiresAtBefore(Instant moment);

    long countByAccountId(UUID account);
}
