package io.causticon.web.batch;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchRepository extends JpaRepository<BatchRow, UUID> {

    List<BatchRow> findAllByOrderByBegunAtDesc();

    Optional<BatchRow> findByClientKey(String clientKey);

    long countByBegunAtBetween(Instant from, Instant to);

    boolean existsByCode(String code);
}
