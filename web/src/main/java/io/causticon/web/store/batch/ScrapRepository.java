package io.causticon.web.store.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface ScrapRepository extends JpaRepository<ScrapRow, String> {

    List<ScrapRow> findByBatchId(UUID batch);

    List<ScrapRow> findByRetiredFalseAndGramsGreaterThanOrderByColourAscKeptAtDesc(double grams, Limit most);

    List<ScrapRow> findByRetiredTrueOrderByColourAscKeptAtDesc(Limit most);
}
