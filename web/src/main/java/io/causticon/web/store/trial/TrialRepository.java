package io.causticon.web.store.trial;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialRepository extends JpaRepository<TrialRow, UUID> {

    List<TrialRow> findByPutAwayFalseOrderByMadeAtDesc(Limit most);

    Optional<TrialRow> findByFormKey(String formKey);
}
