package io.causticon.web.store.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface AccountRepository extends JpaRepository<Account, UUID> {

    Optional<Account> findByName(String name);

    List<Account> findAllByOrderByName();

    /** Held until the transaction ends: whoever changes who owns the workshop waits for whoever does so already. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    List<Account> findByRoleAndActiveOrderById(String role, boolean active);
}
