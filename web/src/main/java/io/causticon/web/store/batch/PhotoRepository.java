package io.causticon.web.store.batch;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoRepository extends JpaRepository<PhotoRow, UUID> {}
