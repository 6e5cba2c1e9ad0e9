package io.causticon.web.store.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RevisionRepository extends JpaRepository<RevisionRow, UUID> {

    List<RevisionRow> findByBatchIdOrderByLineIdAscRevisionAsc(UUID batchId);

    List<RevisionRow> findByBatchIdInOrderByLineIdAscRevisionAsc(Collection<UUID> batchIds);

    List<RevisionRow> findByLineIdOrderByRevision(UUID lineId);

    List<RevisionRow> findByClientKeyIn(Collection<String> clientKeys);
}
