package io.causticon.web.store.dates;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface MakingRepository extends JpaRepository<MakingRow, UUID> {

    List<MakingRow> findByPutAwayFalseAndOnDayLessThanEqualOrderByOnDayAsc(LocalDate until, Limit most);

    boolean existsByFormKey(String formKey);
}
