package io.causticon.web.store.token;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface AccessTokenRepository extends JpaRepository<AccessTokenRow, UUID> {

    Optional<AccessTokenRow> findByTokenHashAndWithdrawnAtIsNull(String hash);

    List<AccessTokenRow> findByOrderByMadeAtDesc(Limit limit);

    boolean existsByNameAndWithdrawnAtIsNull(String name);

    long countByWithdrawnAtIsNull();
}
