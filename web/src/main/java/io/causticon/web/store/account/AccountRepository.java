package io.causticon.web.store.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AccountRepository extends JpaRepository<Account, UUID> {

    Optional<Account> findByName(String name);

    List<Account> findAllByOrderByName();

    long countByRoleAndActive(String role, boolean active);
}
