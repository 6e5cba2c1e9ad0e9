package io.causticon.web.shelf;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VesselRepository extends JpaRepository<VesselRow, UUID> {}
