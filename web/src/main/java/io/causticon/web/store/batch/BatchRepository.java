package io.causticon.web.store.batch;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface BatchRepository extends JpaRepository<BatchRow, UUID> {

    List<BatchRow> findAllByOrderByBegunAtDesc();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<BatchRow> findWithLockById(UUID id);

    Optional<BatchRow> findByClientKey(String clientKey);

    long countByBegunAtBetween(Instant from, Instant to);

    boolean existsByCode(String code);

    List<BatchRow> findByRecipeIdOrderByBegunAtDesc(UUID recipeId, Limit limit);
}
