package io.causticon.web.places.bench;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

@Application
class WeighingTest {

    private static final Formats FORMATS = new Formats(Units.METRIC, ZoneOffset.UTC);

    private BatchService batches;
    private BatchId id;

    @BeforeEach
    void beginAFerryBar(RunningApplication application) {
        batches = application.bean(BatchService.class);
        Batch like = batches.all().stream()
                .filter(b -> b.name().equals("Ferry Bar"))
                .findFirst()
                .orElseThrow();
        id = batches.begin(
                like.plan(),
                null,
                1,
                Instant.now(),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private Weighing weigh(String fat, double grams) {
        Entry entry = new Entry.Weighed(Weighable.fat(fat), Mass.grams(grams), Tare.TAKEN, null);
        batches.log(id, List.of(entry), Instant.now(), "Ines", UUID.randomUUID().toString());
        return weighing();
    }

    private Weighing weighing() {
        return new Weighing(batches.get(id), FORMATS, new KnownVessels(Map.of("second jug", Mass.grams(84)), Map.of()));
    }

    @Test
    void asksForTheFirstFatFirst() {
        BenchPage.Weigh page = weighing().page();
        assertThat(page.next()).isNotNull();
        assertThat(page.next().name()).isEqualTo("Olive");
        assertThat(page.next().target()).isEqualTo("540.0 g");
    }

    @Test
    void goesOnWhenAFatIsWeighedAndTellsHowFarItIsOff() {
        BenchPage.Weigh page = weigh("olive-oil", 560).page();
        assertThat(page.next().name()).isEqualTo("Palm");
        assertThat(page.items().get(0).difference()).isEqualTo("+20.0 g");
        assertThat(page.items().get(0).state()).isEqualTo("off");
        // 20 g of olive more for the same lye raises the superfat by 0.95 x 3.8 / 249.8.
        assertThat(page.superfat()).startsWith("6.4");
    }

    @Test
    void aSlipOfTheFingerIsAskedAboutBeforeItIsTaken(Client client) {
        client.signIn("odd");
        String key = UUID.randomUUID().toString();
        Map<String, String> slip = Map.of(
                "kind",
                "FAT",
                "what",
                "olive-oil",
                "amount",
                "5400",
                "tare",
                "TAKEN",
                "vessel",
                "",
                "step",
                "weigh",
                "key",
                key);
        Document asked =
                Jsoup.parse(client.post("/bench/" + id + "/weigh", slip).body());
        assertThat(asked.select(".question").text())
                .contains("5,400.0 g of Olive: the plan has 540.0 g. Maybe a decimal point slipped.");
        assertThat(asked.select("[name=amount]").val()).isEqualTo("5400");
        assertThat(batches.get(id).log().of(Entry.Weighed.class)).isEmpty();
        List<String> buttons = asked.select(".question button").eachAttr("value");
        Map<String, String> answer = new LinkedHashMap<>(
                Map.of("quick", buttons.get(0), "sure", "true", "key", key + "-s", "step", "weigh"));
        assertThat(client.post("/bench/" + id + "/log", answer).statusCode()).isEqualTo(302);
        assertThat(batches.get(id).log().of(Entry.Weighed.class))
                .extracting(w -> w.entry().mass().grams())
                .containsExactly(540.0);
        // What waited in a browser while the server was away has happened already.
        Map<String, String> late = new LinkedHashMap<>(Map.of(
                "kind", "FAT", "what", "palm-oil", "amount", "9", "tare", "TAKEN", "vessel", "", "step", "weigh"));
        late.put("key", UUID.randomUUID().toString());
        late.put("late", "40");
        assertThat(client.post("/bench/" + id + "/weigh", late).statusCode()).isEqualTo(302);
    }

    @Test
    void takesWhatTheWorkshopHasOfItsOwnAlsoWhenNoPlanHoldsItAndItWasPutAwaySince(
            RunningApplication application, Client client) {
        double planned =
                batches.get(id).facts(Instant.now()).asWeighed().superfat().value();
        client.signIn("odd");
        String name = "marula " + UUID.randomUUID().toString().replaceAll("[^a-f]", "");
        String log = "/bench/" + id + "/log";
        Map<String, String> line = new LinkedHashMap<>(
                Map.of("quick", name + " 50 g", "key", UUID.randomUUID().toString(), "step", "weigh"));
        assertThat(client.post(log, line).body())
                .as("before it is on the shelf")
                .contains(name);
        assertThat(batches.get(id).log().of(Entry.Weighed.class)).isEmpty();
        ShelfService shelf = application.bean(ShelfService.class);
        shelf.addFat(name, "olive-oil", 190, 80, false);
        assertThat(client.post(log, line).body()).as("the plan has none of it").contains("the plan has none of it");
        assertThat(batches.get(id).log().of(Entry.Weighed.class)).isEmpty();
        line.putAll(Map.of("sure", "true", "answered", "NOT_IN_PLAN"));
        assertThat(client.post(log, line).statusCode()).isEqualTo(302);
        Weighable what = Weighable.fat("own-" + name.replace(' ', '-'));
        assertThat(batches.get(id).log().of(Entry.Weighed.class))
                .extracting(w -> w.entry().what())
                .containsExactly(what);
        // 50 g of 190 mg KOH a gram is 0.169 mol; the fats of the plan take some 6.2 mol.
        AsWeighed weighed = batches.get(id).facts(Instant.now()).asWeighed();
        assertThat(weighed.unknown()).isEmpty();
        assertThat(weighed.notPlanned()).containsExactly(what);
        assertThat(weighed.superfat().value()).isGreaterThan(planned + 0.02);
        shelf.putAway("fat", what.id());
        assertThat(batches.get(id).facts(Instant.now()).asWeighed().notPlanned())
                .containsExactly(what);
        assertThat(client.get("/batch/" + id).body()).containsIgnoringCase(name);
    }

    @Test
    void saysNothingOfWeightsThatAreRight() {
        assertThat(weigh("olive-oil", 540).warnings()).isEmpty();
    }

    @Test
    void suspectsASwapAloudWhileItCanBeMended() {
        weigh("palm-oil", 60);
        List<BenchPage.Warning> warnings = weigh("castor-oil", 300).warnings();
        assertThat(warnings).anySatisfy(w -> {
            assertThat(w.title()).isEqualTo("Palm and Castor look swapped");
            assertThat(w.words()).contains("360.0 g");
        });
    }

    @Test
    void warnsOfExcessAlkaliBeforeTheLyeGoesIn() {
        BenchPage.Weigh page = weigh("coconut-oil-76", 200).page();
        assertThat(page.alarming()).isTrue();
        assertThat(weighing().warnings()).anySatisfy(w -> {
            assertThat(w.dangerous()).isTrue();
            assertThat(w.words()).contains("Stop before the lye goes in");
        });
    }

    @Test
    void stepsFollowTheLog() {
        assertThat(BenchStep.of(batches.get(id))).isEqualTo(BenchStep.WEIGH);
        log(new Entry.LyeIntoFats());
        assertThat(BenchStep.of(batches.get(id))).isEqualTo(BenchStep.MIX);
        log(new Entry.Poured(null));
        assertThat(BenchStep.of(batches.get(id))).isEqualTo(BenchStep.POUR);
    }

    private void log(Entry entry) {
        batches.log(id, List.of(entry), Instant.now(), "Ines", UUID.randomUUID().toString());
    }

    @Test
    void saysWhatCanBeDoneAboutAWeightThatIsOff() {
        BenchPage.Advice over = weigh("olive-oil", 560).page().advice().get(0);
        assertThat(over.title()).isEqualTo("Olive is 20.0 g over");
        assertThat(over.ways())
                .anyMatch(w -> w.startsWith("Leave it: superfat"))
                .anyMatch(w -> w.startsWith("Or scale the rest: Olive 560.0 g"));
    }

    @Test
    void theRestGrowsAtATapAndTheTargetsWithIt() {
        BenchPage.Advice over = weigh("olive-oil", 560).page().advice().get(0);
        assertThat(over.scale()).isEqualTo("scale the rest by 1.037037");
        log(new Entry.RestScaled(560 / 540.0));
        BenchPage.Weigh page = weighing().page();
        assertThat(page.advice()).isEmpty();
        assertThat(page.items().get(0).state()).isEqualTo("done");
        // 300 g by 560/540, as a scale in steps of half a gram shows it.
        assertThat(page.next().target()).isEqualTo("311.0 g");
        assertThat(page.superfat()).startsWith("5.0");
    }

    @Test
    void whatIsMissingIsAddedAsOneMoreWeighing() {
        BenchPage.Advice under = weigh("olive-oil", 500).page().advice().get(0);
        assertThat(under.missing()).isEqualTo("40.0");
        assertThat(under.scale()).isEmpty();
        assertThat(weigh("olive-oil", 40).page().advice()).isEmpty();
    }

    @Test
    void saysOfALiquidWhatItDoesToTheLye() {
        batches.log(
                id,
                List.of(new Entry.Weighed(Weighable.liquid("distilled-water"), Mass.grams(400), Tare.TAKEN, null)),
                Instant.now(),
                "Ines",
                UUID.randomUUID().toString());
        assertThat(weighing().page().advice().get(0).ways())
                .anyMatch(w -> w.startsWith("Leave it: the lye is ") && w.contains(" % instead of "));
    }

    @Test
    void suspectsATareThatWasForgottenAndOunces() {
        // The second jug weighs 84 g.
        assertThat(weigh("olive-oil", 624).page().advice().get(0).ways())
                .anyMatch(w -> w.contains("what the second jug weighs, 84.0 g"));
        // 540 g are 19.05 oz.
        assertThat(weigh("palm-oil", 300 / 28.3495).page().advice().get(1).ways())
                .anyMatch(w -> w.contains("would fit in ounces"));
    }

    @Test
    void comparesTwoWeighingsOfTheLye() {
        Mass lye = Weights.planned(batches.get(id).plan().formula()).naoh();
        batches.log(
                id,
                List.of(new Entry.Weighed(Weighable.NAOH, lye, Tare.TAKEN, null)),
                Instant.now(),
                "Ines",
                UUID.randomUUID().toString());
        assertThat(weighing().page().again())
                .isNotNull()
                .satisfies(i -> assertThat(i.name()).isEqualTo("NaOH"));
        batches.log(
                id,
                List.of(new Entry.WeighedAgain(Weighable.NAOH, lye.plus(Mass.grams(9)))),
                Instant.now(),
                "Ines",
                UUID.randomUUID().toString());
        assertThat(weighing().warnings()).anyMatch(w -> w.title().equals("NaOH: the two weighings differ by 9.00 g"));
        // The second weighing is a check: it does not add up.
        assertThat(weighing().page().items())
                .anyMatch(i -> i.name().equals("NaOH") && i.state().equals("done"));
    }
}
