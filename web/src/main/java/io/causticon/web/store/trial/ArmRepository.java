package io.causticon.web.store.trial;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ArmRepository extends JpaRepository<ArmRow, UUID> {

    List<ArmRow> findByTrialIdOrderByPlace(UUID trialId);

    List<ArmRow> findByTrialIdInOrderByPlace(Collection<UUID> trialIds);
}
