package io.causticon.web.store.shelf;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotRepository extends JpaRepository<LotRow, UUID> {

    List<LotRow> findByRetiredFalseOrderByLabel();

    Optional<LotRow> findByLabel(String label);
}
