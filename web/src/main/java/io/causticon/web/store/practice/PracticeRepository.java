package io.causticon.web.store.practice;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface PracticeRepository extends JpaRepository<PracticeRow, UUID> {

    List<PracticeRow> findByMakerOrderByBegunAtDesc(String maker, Limit most);

    Optional<PracticeRow> findByFormKey(String formKey);

    /** For one that is written: of two taps in one moment the second waits. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<PracticeRow> findLockedById(UUID id);
}
