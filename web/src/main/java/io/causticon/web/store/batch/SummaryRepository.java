package io.causticon.web.store.batch;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.query.Param;

/**
 * Whole summaries. What no name of a method can ask is asked as the database takes it: in the mapping's own language
 * each question would be parsed twice at every start, and a dozen of them took a third of its time.
 */
interface SummaryRepository extends JpaRepository<SummaryRow, UUID> {

    /** The youngest of those that were begun before a moment; of one moment those with smaller ids. */
    @NativeQuery("select * from batch_summary where " + SummaryQueries.TAKEN
            + " and begun_at <= :before and (begun_at < :before or batch_id < :id) order by begun_at desc,"
            + " batch_id desc")
    List<SummaryRow> shown(
            @Param("readyToo") boolean readyToo,
            @Param("othersToo") boolean othersToo,
            @Param("calmToo") boolean calmToo,
            @Param("abandoned") boolean abandoned,
            @Param("before") Instant before,
            @Param("id") UUID id,
            Limit limit);

    List<SummaryRow> findByLifeOrderByBegunAtDesc(String life, Limit limit);

    List<SummaryRow> findByHeldTrueOrderByBegunAtDesc(Limit limit);

    List<SummaryRow> findByProblemGreaterThanOrderByBegunAtDesc(String none, Limit limit);

    @NativeQuery(
            "select * from batch_summary where length(problem) = 0 and held = false and next_due between :from and :to"
                    + " order by next_due")
    List<SummaryRow> due(@Param("from") Instant from, @Param("to") Instant to, Limit limit);
}
