package io.causticon.web.store.device;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DeviceRepository extends JpaRepository<DeviceRow, UUID> {

    List<DeviceRow> findByRetiredFalseOrderByName();

    List<DeviceRow> findByRetiredFalseAndBatchIdOrderByName(UUID batchId);

    Optional<DeviceRow> findByTokenHashAndRetiredFalse(String tokenHash);

    Optional<DeviceRow> findByName(String name);
}
