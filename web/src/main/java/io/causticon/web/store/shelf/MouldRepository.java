package io.causticon.web.store.shelf;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MouldRepository extends JpaRepository<MouldRow, UUID> {

    List<MouldRow> findByRetiredFalseOrderByName();

    Optional<MouldRow> findByName(String name);
}
