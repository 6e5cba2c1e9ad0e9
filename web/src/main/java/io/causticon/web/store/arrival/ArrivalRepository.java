package io.causticon.web.store.arrival;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface ArrivalRepository extends JpaRepository<ArrivalRow, UUID> {

    List<ArrivalRow> findByStateInOrderBySeenAtDesc(List<String> states, Limit limit);

    List<ArrivalRow> findByAboutAndStateInOrderBySeenAtDesc(UUID about, List<String> states);

    List<ArrivalRow> findByKindAndStateInOrderBySeenAtDesc(String kind, List<String> states, Limit limit);

    List<ArrivalRow> findByStateAndSeenAtBefore(String state, Instant before);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<ArrivalRow> findWithLockById(UUID id);
}
