package io.causticon.web.store.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.workshop.assessment.Assessment;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Soap that is kept to be melted down, and what became of it. What is of a batch follows from the logs, in the
 * transaction that writes them: what was put aside from the batch that it is of, what was taken from the batch that
 * took it.
 */
@Service
public class Scraps {

    private static final Limit MANY = Limit.of(200);

    /** Less is what clings to the box. */
    private static final double WORTH_GRAMS = 0.5;

    private static final int LONGEST_ID = 80;
    private static final int LONGEST_NAME = 120;

    private final ScrapRepository rows;
    private final ScrapUseRepository uses;
    private final Clock clock;

    Scraps(ScrapRepository rows, ScrapUseRepository uses, Clock clock) {
        this.rows = rows;
        this.uses = uses;
        this.clock = clock;
    }

    /** What a colour of a batch is called on the shelf. */
    public static String id(String code, String colour) {
        String id = slug(code) + "-" + slug(colour);
        return id.length() > LONGEST_ID ? id.substring(0, LONGEST_ID) : id;
    }

    private static String slug(String text) {
        String slug =
                text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-").replaceAll("^-|-$", "");
        return slug.isEmpty() ? "x" : slug;
    }

    /** What is there, by colour; what is used up or put away is not. */
    @Transactional(readOnly = true)
    public List<Scrap> onTheShelf() {
        return read(rows.findByRetiredFalseAndGramsGreaterThanOrderByColourAscKeptAtDesc(0, MANY)).stream()
                .filter(s -> s.left().grams() >= WORTH_GRAMS)
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Scrap> putAway() {
        return read(rows.findByRetiredTrueOrderByColourAscKeptAtDesc(MANY));
    }

    @Transactional(readOnly = true)
    public Optional<Scrap> find(String id) {
        return rows.findById(id).flatMap(r -> read(List.of(r)).stream().findFirst());
    }

    /** A batch and how much of it, or of which, went where. */
    public record Kin(String batch, String name, Mass mass) {}

    /** Which batches took of this one. */
    @Transactional(readOnly = true)
    public List<Kin> takenBy(BatchId source) {
        return uses.findBySourceOrderByName(source.toString()).stream()
                .map(u -> new Kin(u.batchId.toString(), u.name, Mass.grams(u.grams)))
                .toList();
    }

    /** Puts soap on the shelf that is of no batch here. */
    @Transactional
    public void add(String name, String colour, Mass mass, String mainFat, Estimate superfat) {
        ScrapRow row = new ScrapRow();
        row.id = id("own", name);
        if (rows.existsById(row.id)) {
            throw ProblemsException.of("name", ProblemKey.NAME_TAKEN, name);
        }
        row.name = name;
        row.colour = colour.toLowerCase(Locale.ROOT);
        row.grams = mass.grams();
        row.keptAt = clock.instant();
        row.superfat = superfat.value();
        row.spread = superfat.standardDeviation();
        row.mainFat = mainFat;
        rows.save(row);
    }

    @Transactional
    public void setAway(String id, boolean away) {
        rows.findById(id).ifPresent(r -> r.retired = away);
    }

    private List<Scrap> read(List<ScrapRow> found) {
        Map<String, Double> taken = new HashMap<>();
        if (!found.isEmpty()) {
            uses.findByScrapIdIn(found.stream().map(r -> r.id).toList())
                    .forEach(u -> taken.merge(u.scrapId, u.grams, Double::sum));
        }
        return found.stream()
                .filter(Scraps::isSound)
                .map(r -> scrap(r, taken.getOrDefault(r.id, 0.0)))
                .toList();
    }

    private static boolean isSound(ScrapRow r) {
        return Double.isFinite(r.grams) && Double.isFinite(r.superfat) && Double.isFinite(r.spread) && r.spread >= 0;
    }

    private static Scrap scrap(ScrapRow r, double taken) {
        return new Scrap(
                r.id,
                Optional.ofNullable(r.batchId).map(BatchId::new),
                r.code,
                r.name,
                r.colour,
                Mass.grams(r.grams),
                Mass.grams(Math.max(0, r.grams - taken)),
                r.keptAt,
                new Estimate(r.superfat, r.spread),
                r.mainFat);
    }

    /** Writes what follows from a batch. Within the transaction that writes its log. */
    void follow(Batch batch, Assessment judged) {
        // Also where all of it was taken back, or amended to something else.
        if (batch.log().everSaid(Entry.ScrapsKept.class)) {
            followKept(batch, judged);
        }
        Rework rework = batch.plan().rework();
        if (rework != null) {
            followUsed(batch, rework);
        }
    }

    private void followKept(Batch batch, Assessment judged) {
        Map<String, ScrapRow> known =
                rows.findByBatchId(batch.id().value()).stream().collect(Collectors.toMap(r -> r.id, r -> r));
        known.values().forEach(r -> r.grams = 0);
        BatchFacts facts = batch.facts(clock.instant());
        Estimate superfat = judged.examined()
                .map(e -> e.worst().superfatToRework())
                .orElse(facts.asWeighed().superfat());
        // Of what was played nothing lies on a shelf.
        Map<String, Mass> kept = batch.purpose() == Purpose.PRACTICE ? Map.of() : facts.scrapsKept();
        kept.forEach((colour, mass) -> {
            String id = id(batch.code(), colour);
            ScrapRow row = known.computeIfAbsent(id, i -> new ScrapRow());
            row.id = id;
            row.batchId = batch.id().value();
            row.code = batch.code();
            row.name = shortened(colour + " of " + batch.name());
            row.colour = colour;
            row.grams += mass.grams();
            row.keptAt = batch.log()
                    .of(Entry.ScrapsKept.class)
                    .filter(k -> id(batch.code(), k.entry().colour()).equals(id))
                    .map(k -> k.at())
                    .max(Instant::compareTo)
                    .orElse(batch.log().begun());
        });
        known.values().forEach(r -> {
            r.superfat = superfat.value();
            r.spread = superfat.standardDeviation();
        });
        rows.saveAll(known.values());
    }

    private void followUsed(Batch batch, Rework rework) {
        UUID id = batch.id().value();
        Map<String, ScrapUseRow> known = uses.findByBatchId(id).stream().collect(Collectors.toMap(r -> r.id, r -> r));
        known.values().forEach(r -> r.grams = 0);
        // What was given up on the bench is on the shelf still.
        boolean given = batch.life() == Life.ABANDONED;
        Map<Weighable, Mass> weighed = AsWeighed.sums(batch.log());
        Map<String, ScrapUseRow> now = new LinkedHashMap<>(known);
        rework.scraps().forEach(s -> {
            ScrapUseRow row = now.computeIfAbsent(id + "/" + s.id(), k -> new ScrapUseRow());
            row.id = id + "/" + s.id();
            row.batchId = id;
            row.name = batch.name();
            row.scrapId = s.id();
            row.source = s.source();
            row.grams = given
                    ? 0
                    : weighed.getOrDefault(Weighable.scrap(s.id()), s.mass()).grams();
        });
        Collection<ScrapUseRow> all = now.values();
        uses.saveAll(all);
    }

    private static String shortened(String name) {
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    }
}
