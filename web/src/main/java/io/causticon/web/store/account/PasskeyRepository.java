package io.causticon.web.store.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PasskeyRepository extends JpaRepository<PasskeyRow, UUID> {

    Optional<PasskeyRow> findByCredential(String credential);

    List<PasskeyRow> findByAccountIdOrderByMadeAt(UUID account);

    int countByAccountId(UUID account);
}
