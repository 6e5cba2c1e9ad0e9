package io.causticon.web.store.shelf;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnFatRepository extends JpaRepository<OwnFatRow, String> {

    List<OwnFatRow> findByRetiredFalseOrderByName();
}
