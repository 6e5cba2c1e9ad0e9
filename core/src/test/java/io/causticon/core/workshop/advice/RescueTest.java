package io.causticon.core.workshop.advice;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.making.LiveTrace;
import io.causticon.core.science.making.MixRecord;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.workshop.advice.Rescue.Trouble;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class RescueTest {

    private static final Instant BEGUN = Instant.parse("2026-11-02T09:00:00Z");
    private static final Instant IN = BEGUN.plusSeconds(3600);
    private static final Temperature ROOM = Temperature.celsius(18);

    private final List<LoggedEntry> lines = new ArrayList<>();

    private static BatchPlan plan() {
        return recipe().fat("olive-oil", 500)
                .fat("lard", 250)
                .fat("palm-stearin", 250)
                .plan()
                .with(new Mould("oak loaf", MouldKind.WOODEN_LOAF, 300, 85, 75, 1));
    }

    private RescueTest at(double minute, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), IN.plusMillis(Math.round(60_000 * minute)), "ines", entry));
        return this;
    }

    private Rescue card(Trouble trouble, double now, double batter) {
        at(0, new Entry.LyeIntoFats())
                .at(now - 0.1, new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(batter)));
        Instant moment = IN.plusMillis(Math.round(60_000 * now));
        BatchFacts facts = BatchFacts.of(plan(), new BatchLog(BEGUN, lines), moment);
        return Rescue.of(
                trouble,
                facts,
                MixRecord.of(facts, moment).map(r -> LiveTrace.of(TraceKnowledge.PRIOR, r, now)),
                TraceKnowledge.PRIOR,
                LoafKnowledge.NONE,
                ROOM,
                moment);
    }

    private static String words(Rescue card) {
        return card.steps().stream().map(s -> s.written(Object::toString)).collect(Collectors.joining("\n"));
    }

    @ParameterizedTest
    @EnumSource(Trouble.class)
    void eachCardSaysWhatToDoAtOnceAndThen(Trouble trouble) {
        Rescue card = card(trouble, 8, 38);
        assertThat(card.first().pattern()).isNotBlank();
        assertThat(card.steps()).hasSizeGreaterThanOrEqualTo(2);
        // Every place has its value.
        card.steps().forEach(s -> assertThat(s.written(Object::toString)).doesNotContain("{}"));
        card.why().forEach(s -> assertThat(s.written(Object::toString)).doesNotContain("{}"));
    }

    @Test
    void aSeizedBatterIsPressedInOrCookedWithWaterForAQuarterOfLye() {
        Rescue card = card(Trouble.SEIZING, 8, 52);
        assertThat(card.steps().get(0).pattern()).startsWith("Press it in");
        assertThat(card(Trouble.SEIZING, 8, 82).steps().get(0).pattern()).startsWith("Or cook it");
        Mass water = (Mass) card.steps().get(1).values().get(1);
        double lye = AlkaliBalance.of(plan().formula()).lye().grams();
        double before = AlkaliBalance.of(plan().formula()).water().grams();
        assertThat(lye / (lye + before + water.grams())).isBetween(0.2499, 0.2501);
        // Half a conversion a quarter of an hour at 75 C: 95 % takes one to two hours.
        assertThat((Double) card.steps().get(1).values().get(2)).isBetween(0.8, 2.5);
    }

    @Test
    void whatPartsInACoolBatterIsFalseTraceAndIsWarmedAboveItsHardestFat() {
        Rescue cool = card(Trouble.SEPARATION, 8, 31);
        assertThat(words(cool)).contains("False trace").contains("Palm stearin");
        lines.clear();
        assertThat(words(card(Trouble.SEPARATION, 8, 62))).doesNotContain("False trace");
    }

    @Test
    void warmthIsOnlyAdvisedForRiceWhileThereIsTimeForIt() {
        at(3, new Entry.StageReached(Stage.EMULSION, null));
        assertThat(words(card(Trouble.RICING, 4, 47))).contains("Warm it to");
        lines.clear();
        at(2, new Entry.StageReached(Stage.LIGHT, null)).at(3.5, new Entry.StageReached(Stage.MEDIUM, null));
        assertThat(words(card(Trouble.RICING, 4, 30))).contains("No bath now");
    }

    @Test
    void aThinBatterIsToldHowMuchSoonerWarmthBringsIt() {
        Rescue card = card(Trouble.TOO_THIN, 20, 30);
        assertThat(words(card)).contains("Wait: light trace").contains("Sooner").contains("of the blender for a kg");
    }

    @Test
    void aHotBatterIsCooledToItsPlanAndBothPeaksAreTold() {
        Rescue card = card(Trouble.TOO_HOT, 6, 55);
        assertThat(words(card)).contains("Bowl into cold water").contains("Poured now the core comes near");
        Temperature now = (Temperature) card.steps().get(1).values().get(0);
        Temperature cooled = (Temperature) card.steps().get(1).values().get(1);
        assertThat(now.celsius()).isGreaterThan(cooled.celsius());
    }

    @Test
    void aBatterThatWasNotReadIsSaidToBeGuessed() {
        at(0, new Entry.LyeIntoFats());
        BatchFacts facts = BatchFacts.of(plan(), new BatchLog(BEGUN, lines), IN.plusSeconds(60));
        Rescue card = Rescue.of(
                Trouble.RICING,
                facts,
                Optional.empty(),
                TraceKnowledge.PRIOR,
                LoafKnowledge.NONE,
                ROOM,
                IN.plusSeconds(60));
        assertThat(card.why().get(0).pattern()).contains("was not read");
    }
}
