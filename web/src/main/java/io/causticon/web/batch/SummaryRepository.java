package io.causticon.web.batch;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface SummaryRepository extends JpaRepository<SummaryRow, UUID> {

    /** The youngest of those that were begun before a moment; of one moment those with smaller ids. */
    @Query("""
            select s from SummaryRow s
            where length(s.problem) = 0
              and (:readyToo = true or s.life <> :ready) and (:othersToo = true or s.life = :ready) and (:calmToo = true or s.held = true)
              and ((:abandoned = true and s.life = 'ABANDONED') or (:abandoned = false and s.life <> 'ABANDONED'))
              and s.begunAt <= :before and (s.begunAt < :before or s.batchId < :id)
            order by s.begunAt desc, s.batchId desc""")
    List<SummaryRow> shown(
            @Param("ready") String ready,
            @Param("readyToo") boolean readyToo,
            @Param("othersToo") boolean othersToo,
            @Param("calmToo") boolean calmToo,
            @Param("abandoned") boolean abandoned,
            @Param("before") Instant before,
            @Param("id") UUID id,
            Limit limit);

    /** How many of each state and whether held: rows of a life, a boolean and a count. */
    @Query("select s.life, s.held, count(s) from SummaryRow s where s.problem = '' group by s.life, s.held")
    List<Object[]> countByState();

    List<SummaryRow> findByLifeOrderByBegunAtDesc(String life, Limit limit);

    /** Rows of an id and the name of what leads. */
    @Query("select s.batchId, s.leading from SummaryRow s where length(s.problem) = 0 and s.leadingProbability >= :least and length(s.leading) > 0")
    List<Object[]> leading(@Param("least") double least);

    List<SummaryRow> findByHeldTrueOrderByBegunAtDesc(Limit limit);

    List<SummaryRow> findByProblemGreaterThanOrderByBegunAtDesc(String none, Limit limit);

    @Query("select s from SummaryRow s where length(s.problem) = 0 and s.held = false and s.nextDue between :from and :to order by s.nextDue")
    List<SummaryRow> due(@Param("from") Instant from, @Param("to") Instant to, Limit limit);

    @Query("select s.lyeVessel from SummaryRow s where s.lyeVessel <> '' order by s.begunAt desc")
    List<String> lyeVessels(Limit limit);

    @Query("select s.fatsVessel from SummaryRow s where s.fatsVessel <> '' order by s.begunAt desc")
    List<String> fatsVessels(Limit limit);

    @Query("select s.batchId from SummaryRow s where s.mould = :mould and s.wasPoured = true order by s.begunAt desc")
    List<UUID> pouredInto(@Param("mould") String mould, Limit limit);

    /** Batches without a row that is as it would be made now. */
    @Query("""
            select b.id from BatchRow b
            where not exists (select 1 from SummaryRow s where s.batchId = b.id and s.madeWith = :version and s.logVersion = b.logVersion)
            order by b.begunAt desc""")
    List<UUID> notAsTheyWouldBe(@Param("version") int version);

    /** Those whose judgement may have moved with time alone. */
    @Query("select s.batchId from SummaryRow s where s.life <> :ready and s.life <> 'ABANDONED' and s.madeAt < :before order by s.madeAt")
    List<UUID> madeBefore(@Param("ready") String ready, @Param("before") Instant before, Limit limit);
}
