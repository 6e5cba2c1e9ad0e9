package io.causticon.web.store.practice;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface DrillRepository extends JpaRepository<DrillRow, UUID> {

    List<DrillRow> findByMakerOrderByBegunAtDesc(String maker, Limit most);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<DrillRow> findLockedById(UUID id);
}
