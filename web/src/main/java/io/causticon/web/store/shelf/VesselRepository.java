package io.causticon.web.store.shelf;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VesselRepository extends JpaRepository<VesselRow, UUID> {

    List<VesselRow> findByRetiredFalseOrderByName();

    List<VesselRow> findByNameIgnoreCase(String name);

    Optional<VesselRow> findByName(String name);
}
