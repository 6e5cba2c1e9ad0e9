package io.causticon.web.batch;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoRepository extends JpaRepository<PhotoRow, UUID> {}
