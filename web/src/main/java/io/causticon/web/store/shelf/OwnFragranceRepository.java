package io.causticon.web.store.shelf;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnFragranceRepository extends JpaRepository<OwnFragranceRow, String> {

    List<OwnFragranceRow> findByRetiredFalseOrderByName();
}
