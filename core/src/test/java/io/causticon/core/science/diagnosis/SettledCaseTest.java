package io.causticon.core.science.diagnosis;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Named;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.diagnosis.network.WorkshopCounts;
import io.causticon.core.science.diagnosis.network.WorkshopCounts.Count;
import io.causticon.core.science.diagnosis.network.WorkshopCounts.Pair;
import io.causticon.core.science.facts.BatchFacts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What a workshop's own cases teach, and what they never teach. */
class SettledCaseTest {

    private static final Knowledge KNOWN = StandardKnowledge.all();

    private static Cases made(String... lines) {
        return Cases.batch(recipe().fat("olive-oil", 500)
                        .fat("lard", 264)
                        .fat("coconut-oil-76", 236)
                        .purity(98))
                .weighedAsPlanned()
                .log("@+40m light", "@+1h poured 39", "@+20h cut 8")
                .log(lines);
    }

    private static Cases concluded(String condition, String... lines) {
        return made(lines).entry(new Entry.Concluded(new Named(condition, condition), ""));
    }

    private static SettledCase settled(Cases of) {
        return SettledCase.of(of.facts()).orElseThrow();
    }

    @Test
    void aBatchTeachesWhenItWasSettledOrFoundSound() {
        SettledCase ash = settled(concluded("soda-ash", "day 4 see thin bloom", "day 5 no white spots"));
        assertThat(ash.conditions()).containsExactly("soda-ash");
        assertThat(ash.seen()).containsExactly("thin-bloom");
        assertThat(ash.absent()).contains("white-spots");
        assertThat(settled(made("day 8 no white spots", "day 8 wash calm")).conditions())
                .isEmpty();
        // Seen and not settled, or never looked at.
        assertThat(SettledCase.of(made("day 4 see thin bloom").facts())).isEmpty();
        assertThat(SettledCase.of(made().facts())).isEmpty();
    }

    @Test
    void whatIsCountedIsWhatWasLookedFor() {
        List<SettledCase> all = Stream.of(
                        concluded("soda-ash", "day 4 see thin bloom"),
                        concluded("soda-ash", "day 4 no thin bloom", "day 9 see bloom came by day four and stopped"),
                        made("day 4 no thin bloom", "day 8 wash calm"),
                        concluded("trapped-air", "day 3 see pinholes and bubbles all through", "day 4 see thin bloom"))
                .map(SettledCaseTest::settled)
                .toList();
        WorkshopCounts counts = SettledCase.count(all, KNOWN);
        assertThat(counts.conditions())
                .containsEntry("soda-ash", new Count(2, 4))
                .containsEntry("trapped-air", new Count(1, 4))
                .containsEntry("leak", new Count(0, 4));
        assertThat(counts.links())
                .containsEntry(new Pair("thin-bloom", "soda-ash"), new Count(1, 2))
                .containsEntry(new Pair("pinholes", "trapped-air"), new Count(1, 1));
        // With neither ash nor anything else that brings it about: once of two.
        assertThat(counts.findings())
                .containsEntry("thin-bloom", new Count(1, 2))
                .doesNotContainKey("pinholes");
        Knowledge own = KNOWN.with(counts);
        Condition ash = KNOWN.conditions().stream()
                .filter(c -> c.id().equals("soda-ash"))
                .findFirst()
                .orElseThrow();
        assertThat(own.rate(ash)).isCloseTo((KNOWN.rate(ash) * 40 + 2) / 44, within(1e-12));
    }

    @Test
    void whatWasSettledBeforeARebatchIsNotOfTheSoapAfterIt() {
        Cases before = concluded("soda-ash", "day 4 see thin bloom");
        assertThat(settled(before).conditions()).containsExactly("soda-ash");
        Cases after =
                before.entry(new Entry.Rebatched(null, null, Mass.grams(300))).log("day 20 no white spots");
        assertThat(settled(after).conditions()).isEmpty();
    }

    @Test
    void manyCasesOfSoreSkinDoNotTalkAwayABurn() {
        List<SettledCase> sore = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            sore.add(settled(
                    concluded("sensitive-skin", "day 9 wash burns", "day 9 see one tester", "day 9 titrate 0")));
        }
        Cases burned = made("day 9 wash burns");
        assertThat(hazard(KNOWN.with(SettledCase.count(sore, KNOWN)), burned.facts()))
                .isGreaterThanOrEqualTo(hazard(KNOWN, burned.facts()) - 1e-12);
    }

    /** Whatever is counted, a batch that burned, stung or was titrated is not less of a hazard than anywhere. */
    @Test
    void noCountsMakeASignOfSkinLess() {
        Random random = new Random(17);
        for (int n = 0; n < 12; n++) {
            Map<String, Count> conditions = new HashMap<>();
            Map<String, Count> findings = new HashMap<>();
            Map<Pair, Count> links = new HashMap<>();
            KNOWN.conditions().forEach(c -> conditions.put(c.id(), count(random)));
            KNOWN.findings().forEach(f -> findings.put(f.id(), count(random)));
            KNOWN.links()
                    .forEach(l ->
                            links.put(new Pair(l.finding().id(), l.condition().id()), count(random)));
            Knowledge own = KNOWN.with(new WorkshopCounts(conditions, findings, links));
            for (String sign : new String[] {"day 9 wash burns", "day 9 see zap", "day 9 titrate 0.4"}) {
                Cases one = made(sign);
                assertThat(hazard(own, one.facts())).as(sign).isGreaterThanOrEqualTo(hazard(KNOWN, one.facts()) - 1e-9);
            }
        }
    }

    private static Count count(Random random) {
        int of = random.nextInt(80);
        return new Count(of == 0 ? 0 : random.nextInt(of + 1), of);
    }

    private static double hazard(Knowledge knowledge, BatchFacts facts) {
        return new Diagnostician(knowledge).examine(facts, KnownVessels.NONE).anyHazard();
    }
}
