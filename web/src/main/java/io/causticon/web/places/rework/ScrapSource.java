package io.causticon.web.places.rework;

import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.cure.BarContents;
import io.causticon.core.science.cure.ScrapWater;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.web.places.casebook.CasebookService;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.UnreadableException;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Scrap;
import io.causticon.web.store.batch.Scraps;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;

/** Tells what scraps are made of: by the batch that they are of and its case, as it stands in the moment of asking. */
@Service
class ScrapSource {

    /** Dried in the air for a month or two; nobody knows how long (a judgement). */
    private static final Estimate WATER_OF_UNKNOWN = new Estimate(0.12, 0.03);

    private final BatchService batches;
    private final CasebookService casebook;
    private final Clock clock;

    ScrapSource(BatchService batches, CasebookService casebook, Clock clock) {
        this.batches = batches;
        this.casebook = casebook;
        this.clock = clock;
    }

    /** So much of it; empty where its batch cannot be worked out, or its fat is not known. */
    Optional<ScrapPortion> portion(Scrap scrap, Mass mass, Catalogue fats) {
        if (scrap.batch().isPresent()) {
            return batch(scrap.batch().get()).map(b -> of(b, scrap.id(), scrap.name(), mass));
        }
        return fats.findFat(scrap.mainFat()).map(f -> ofUnknown(scrap, mass, f));
    }

    private static ScrapPortion ofUnknown(Scrap scrap, Mass mass, Fat fat) {
        return new ScrapPortion(
                scrap.id(),
                scrap.id(),
                scrap.name(),
                mass,
                List.of(new FatPortion(fat, Mass.grams(100))),
                Share.WHOLE,
                scrap.superfat(),
                WATER_OF_UNKNOWN,
                0,
                true,
                fat.allergens());
    }

    /**
     * A batch that can be melted down as a whole.
     *
     * @param batch which
     * @param portion all that is left of it, as heavy as it is by now
     */
    record Whole(Batch batch, ScrapPortion portion) {}

    /**
     * All of a batch that is in the mould or out of it, less what was put aside; empty where there is no such batch.
     */
    Optional<Whole> whole(BatchId id) {
        return batch(id).filter(b -> b.facts(clock.instant()).wasPoured()).map(b -> {
            BatchFacts facts = b.facts(clock.instant());
            ScrapPortion all = of(
                    b,
                    Scraps.id(b.code(), "all"),
                    "all of " + b.name(),
                    facts.weightsNow().total());
            Mass dried = all.mass()
                    .times((1 - fresh(facts).fraction()) / (1 - all.water().value()));
            Mass aside = facts.scrapsKept().values().stream().reduce(Mass.ZERO, Mass::plus);
            return new Whole(
                    b,
                    all.weighing(
                            Mass.grams(Math.max(1, Math.rint(dried.minus(aside).grams())))));
        });
    }

    /** Nobody's soap is made of what was played. */
    private Optional<Batch> batch(BatchId id) {
        try {
            return Optional.of(batches.get(id)).filter(b -> b.purpose() != Purpose.PRACTICE);
        } catch (NotFoundException | UnreadableException e) {
            return Optional.empty();
        }
    }

    private ScrapPortion of(Batch batch, String id, String name, Mass mass) {
        Instant now = clock.instant();
        BatchFacts facts = batch.facts(now);
        Diagnosis diagnosis = casebook.examine(batch);
        Duration age = Duration.between(facts.poured().orElse(batch.log().begun()), now);
        BarContents contents = BarContents.of(batch.plan(), batch.log(), now);
        Set<String> allergens = new TreeSet<>(contents.allergens());
        allergens.addAll(contents.scentAllergens());
        return ScrapPortion.of(
                id,
                batch.id().toString(),
                name,
                mass,
                facts.weightsNow(),
                diagnosis.superfatToRework(),
                ScrapWater.of(fresh(facts), age),
                facts.isCookedThrough() || age.compareTo(ScrapPortion.REACTS_FOR) >= 0,
                allergens);
    }

    /** Water of all that went into the pot. */
    private static Share fresh(BatchFacts facts) {
        Weights weights = facts.weightsNow();
        return Share.fraction(weights.water().dividedBy(weights.total()));
    }
}
