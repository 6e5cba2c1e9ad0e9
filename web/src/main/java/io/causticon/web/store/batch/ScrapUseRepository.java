package io.causticon.web.store.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ScrapUseRepository extends JpaRepository<ScrapUseRow, String> {

    List<ScrapUseRow> findByBatchId(UUID batch);

    List<ScrapUseRow> findByScrapIdIn(Collection<String> scraps);

    List<ScrapUseRow> findBySourceOrderByName(String source);
}
