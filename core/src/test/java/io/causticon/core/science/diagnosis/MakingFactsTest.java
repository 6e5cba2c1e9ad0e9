package io.causticon.core.science.diagnosis;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.evidence.EvidenceReader;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What recipe and making tell of a condition before anything is seen of it. */
class MakingFactsTest {

    private static Recipes plain() {
        return recipe().fat("olive-oil", 500)
                .fat("lard", 264)
                .fat("coconut-oil-76", 236)
                .purity(98);
    }

    private static Cases made(Recipes of, String... lines) {
        return Cases.batch(of).weighedAsPlanned().log("@+10m lye in").log(lines);
    }

    private static double of(Cases made, String condition) {
        return report(made.diagnosis(), condition).probability();
    }

    private static ConditionReport report(Diagnosis diagnosis, String condition) {
        return diagnosis.reports().stream()
                .filter(r -> r.condition().id().equals(condition))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void moreThanIsSafeOfAPowderMakesItCrumble() {
        assertThat(of(made(plain().additive("kaolin", 90)), "crumbly"))
                .isGreaterThan(3 * of(made(plain().additive("kaolin", 25)), "crumbly"));
        assertThat(of(made(plain().additive("fragrance-oil", 80)), "fragrance-seep"))
                .isGreaterThan(3 * of(made(plain().additive("fragrance-oil", 25)), "fragrance-seep"));
        // A gram past the most is the scale's.
        assertThat(of(made(plain().additive("kaolin", 61)), "crumbly"))
                .isEqualTo(of(made(plain().additive("kaolin", 25)), "crumbly"));
    }

    /** By the prior these fats at 40 C come to light trace in some 12 minutes. */
    @Test
    void theClockTellsOfABatterThatWasEarlyOrLate() {
        double usual = of(made(plain(), "@+22m light"), "acceleration");
        assertThat(of(made(plain(), "@+12m light"), "acceleration")).isGreaterThan(4 * usual);
        assertThat(seen(made(plain(), "@+12m light")))
                .anyMatch(w -> w.matches("light trace after 2 min, \\d+ to \\d+ were to be expected"));
        assertThat(of(made(plain(), "@+130m light"), "slow-trace"))
                .isGreaterThan(10 * of(made(plain(), "@+22m light"), "slow-trace"));
        // A whisk takes longer, and that is no sign of anything.
        assertThat(seen(made(plain(), "@+11m by hand", "@+75m light"))).noneMatch(w -> w.contains("trace after"));
        // Seen first when it was thick: nobody knows when it was light.
        assertThat(seen(made(plain(), "@+130m thick"))).noneMatch(w -> w.contains("trace after"));
        // What the maker says herself comes before the clock.
        assertThat(seen(made(plain(), "@+12m light", "@+13m no accelerated")))
                .noneMatch(w -> w.contains("trace after 2 min"));
    }

    private static List<String> seen(Cases made) {
        return EvidenceReader.read(made.facts()).stream()
                .filter(Evidence::isPresent)
                .map(Evidence::words)
                .toList();
    }

    @Test
    void muchBlendingDrawsAir() {
        assertThat(of(made(plain(), "@+12m blend 90", "@+16m blend 95", "@+20m light"), "trapped-air"))
                .isGreaterThan(1.5 * of(made(plain(), "@+12m blend 30", "@+20m light"), "trapped-air"));
    }

    @Test
    void hardFatsSetInAPourThatIsCoolerThanTheyStayClear() {
        Recipes hard = recipe().fat("olive-oil", 400).fat("cocoa-butter", 300).fat("coconut-oil-76", 300);
        assertThat(of(made(hard, "@+40m light", "@+50m poured 28"), "stearic-spots"))
                .isGreaterThan(1.5 * of(made(hard, "@+40m light", "@+50m poured 44"), "stearic-spots"));
        Recipes soft = recipe().fat("olive-oil", 1000);
        assertThat(of(made(soft, "@+40m light", "@+50m poured 28"), "false-trace"))
                .isEqualTo(of(made(soft, "@+40m light", "@+50m poured 44"), "false-trace"));
    }

    @Test
    void theWallsOfAMouldGiveWayOrHold() {
        Cases made = made(plain(), "@+40m light", "@+50m poured 39");
        assertThat(bowed(made, MouldKind.SILICONE_LOAF)).isGreaterThan(1.5 * bowed(made, MouldKind.WOODEN_LOAF));
        assertThat(bowed(made, MouldKind.CAVITIES)).isLessThan(bowed(made, MouldKind.WOODEN_LOAF));
    }

    private static double bowed(Cases made, MouldKind kind) {
        BatchFacts facts = made.facts();
        BatchFacts poured = BatchFacts.of(
                facts.plan().with(new Mould("one", kind, 250, 80, 65, 1)),
                new BatchLog(Cases.BEGUN, facts.log().entries()),
                Cases.BEGUN.plus(Duration.ofDays(9)));
        return report(Cases.DIAGNOSTICIAN.examine(poured, KnownVessels.NONE), "bowed-mould")
                .probability();
    }
}
