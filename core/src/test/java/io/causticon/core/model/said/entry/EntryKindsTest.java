package io.causticon.core.model.said.entry;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.model.log.Titration;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Each kind of entry has one descriptor, and whatever a maker may amend comes back from its shorthand as it was, in
 * every unit.
 */
class EntryKindsTest {

    private static final int EXAMPLES = 40;
    private static final Instant BEGUN = Instant.parse("2026-02-14T09:00:00Z");
    private static final List<Units> EVERY_UNIT = List.of(
            Units.METRIC,
            Units.US,
            new Units(Units.MassUnit.POUND, Units.TemperatureUnit.CELSIUS),
            new Units(Units.MassUnit.GRAM, Units.TemperatureUnit.FAHRENHEIT));
    private static final List<String> NAMES =
            List.of("lavender", "grandmother's rosin", "no. 5, pale; \"late\" 30 g to lot", "at noon", "lye in 3");
    private static final List<Named> PORTIONS =
            List.of(new Named("portion-1", "madder"), new Named("portion-2", "pale 2 g; \"late\""));
    private static final BatchPlan PLAN = plan();
    private static final List<Named> VESSELS = List.of(new Named("7b1e", "second jug"), Named.called("jug no. 3"));
    private static final List<String> WORDS = List.of(
            "smells sweet",
            "cut 12; poured \"early\"",
            "it burns a little",
            "  two spaces",
            "3\" wide",
            "day 9 see crust");

    private static BatchPlan plan() {
        BatchPlan plan = recipe().fat("olive-oil", 504)
                .fat("lard", 264)
                .additive("eo-lavender", 30)
                .plan();
        return plan.with(plan.pouring()
                .divided(new Portioning(
                        Portioning.Way.SHARES,
                        PORTIONS.stream()
                                .map(p -> Portion.sharing(p.name(), Share.percent(50)))
                                .toList(),
                        Share.percent(3))));
    }

    private static QuickContext context(Units units) {
        return new QuickContext(
                PLAN,
                BEGUN,
                BEGUN.plusSeconds(86_400L * 60),
                ZoneOffset.UTC,
                units,
                Findings.vocabulary(),
                new KnownVessels(Map.of("second jug", Mass.grams(84)), Map.of("7b1e", "second jug")),
                Catalogue.standard());
    }

    /**
     * A deed is undone only by another deed, and what nobody types has a form that a person fills in: neither is taken
     * from a program.
     */
    @ParameterizedTest
    @MethodSource("kinds")
    void takesDeedsAndFormsFromAPersonAlone(EntryKind<?> kind) {
        boolean deed = List.of(
                        Entry.PhotoTaken.class,
                        Entry.Held.class,
                        Entry.Released.class,
                        Entry.Concluded.class,
                        Entry.Abandoned.class)
                .contains(kind.type());
        if (deed || !kind.isTyped()) {
            assertThat(kind.authority()).isEqualTo(Authority.PERSON);
        }
        assertThat(kind.authority().isTakenFrom(Authority.PERSON)).isTrue();
    }

    static Stream<EntryKind<?>> kinds() {
        return EntryKinds.ALL.stream();
    }

    @Test
    void everyKindHasOneDescriptorUnderANameOfItsOwn() {
        assertThat(EntryKinds.ALL.stream().map(k -> (Object) k.type()))
                .containsExactlyInAnyOrder((Object[]) Entry.class.getPermittedSubclasses());
        assertThat(EntryKinds.ALL.stream().map(EntryKind::name)).doesNotHaveDuplicates();
        assertThat(EntryKinds.ALL)
                .filteredOn(k -> k.type() != Entry.Unreadable.class)
                .allSatisfy(k -> assertThat(k.tells()).isNotEqualTo(Tells.NOTHING));
        assertThat(EntryKinds.ALL)
                .filteredOn(EntryKind::isTyped)
                .allSatisfy(k -> assertThat(k.ways()).as(k.name()).isNotEmpty());
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void comesBackFromItsShorthandUnchangedInEveryUnit(EntryKind<?> kind) {
        for (Entry entry : examples(kind)) {
            for (Units units : EVERY_UNIT) {
                String typed = EntryKinds.shorthand(entry, context(units));
                if (kind.isTyped()) {
                    QuickLine.Reading read = QuickLine.read(typed, context(units));
                    assertThat(read.problems()).as(typed).isEmpty();
                    assertThat(read.entries()).as(typed).containsExactly(entry);
                    assertThat(read.at()).as(typed).isEmpty();
                } else {
                    assertThat(typed).isEmpty();
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void saysWhatItSays(EntryKind<?> kind) {
        for (Entry entry : examples(kind)) {
            for (Names names : List.of(new Names(PLAN, Catalogue.standard()), Names.OF_THE_TABLES)) {
                assertThat(EntryKinds.words(entry, names).written(Object::toString))
                        .isNotBlank()
                        .doesNotContain("null", "Entry", "{}");
                assertThat(EntryKinds.stripWords(entry, names).written(Object::toString))
                        .isNotBlank()
                        .doesNotContain("null", "{}");
            }
        }
    }

    @Test
    void whatIsTypedInHerUnitsComesBackInThem() {
        assertThat(EntryKinds.shorthand(new Entry.Added("grandmother's rosin", Mass.ounces(1.25)), context(Units.US)))
                .isEqualTo("add grandmother's rosin 1.25 oz");
        // Weighed in grams by somebody else: in ounces it would come back as something near.
        assertThat(EntryKinds.shorthand(new Entry.WeighedAgain(Weighable.NAOH, Mass.grams(163.2)), context(Units.US)))
                .isEqualTo("again naoh 163.2 g");
        // And the other way round.
        assertThat(EntryKinds.shorthand(
                        new Entry.WeighedAgain(Weighable.NAOH, Mass.ounces(7.05)), context(Units.METRIC)))
                .isEqualTo("again naoh 7.05 oz");
        assertThat(EntryKinds.shorthand(
                        new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.fahrenheit(110)),
                        context(Units.US)))
                .isEqualTo("lye 110 F");
        assertThat(EntryKinds.shorthand(
                        new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(43.5)), context(Units.US)))
                .isEqualTo("lye 110.3 F");
    }

    @Test
    void quotationMarksMakeNothingOutOfNothing() {
        assertThat(QuickLine.read("take \"nowhere\" 5 g", context(Units.METRIC)).entries())
                .isEmpty();
        assertThat(EntryCheck.isSound(QuickLine.read("add \"\" 3 g", context(Units.METRIC))
                        .entries()
                        .get(0)))
                .isFalse();
        // A mark that is not closed is an inch, and a semicolon after it parts.
        assertThat(QuickLine.read("note 3\" wide; blend 5", context(Units.METRIC))
                        .entries())
                .containsExactly(new Entry.Noted("3\" wide"), new Entry.BlenderBurst(5));
        assertThat(QuickLine.read("note \"3; wide\"; blend 5", context(Units.METRIC))
                        .entries())
                .containsExactly(new Entry.Noted("3; wide"), new Entry.BlenderBurst(5));
    }

    /** Every value of every choice, and quantities as they are typed or read. */
    private static List<Entry> examples(EntryKind<?> kind) {
        Random random = new Random(kind.name().hashCode());
        return Stream.generate(() -> example(kind, random))
                .limit(EXAMPLES)
                .filter(EntryCheck::isSound)
                .toList();
    }

    private static Entry example(EntryKind<?> kind, Random random) {
        RecordComponent[] parts = kind.type().getRecordComponents();
        Object[] values = Arrays.stream(parts).map(p -> value(kind, p, random)).toArray();
        try {
            Class<?>[] types =
                    Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new);
            return kind.type().getDeclaredConstructor(types).newInstance(values);
        } catch (ReflectiveOperationException e) {
            throw new AssertionError(e);
        }
    }

    private static @Nullable Object value(EntryKind<?> kind, RecordComponent part, Random random) {
        Class<?> type = part.getType();
        if (part.getAnnotatedType().isAnnotationPresent(Nullable.class) && random.nextInt(3) == 0) {
            return null;
        }
        if (part.getName().equals("pot")) {
            return random.nextBoolean() ? MeasurementPoint.LYE : MeasurementPoint.FATS;
        }
        if (type.isEnum()) {
            return any(List.of(type.getEnumConstants()), random);
        }
        if (type == Mass.class) {
            double number = random.nextInt(3) == 0 ? random.nextDouble() * 600 : random.nextInt(10, 60_000) / 100.0;
            return random.nextBoolean() ? Mass.grams(number) : Mass.ounces(number / 10);
        }
        if (part.getName().equals("water") && type == Temperature.class) {
            return random.nextBoolean()
                    ? Temperature.celsius(random.nextInt(0, 500) / 10.0)
                    : Temperature.fahrenheit(random.nextInt(33, 120));
        }
        if (type == Temperature.class) {
            double number = random.nextInt(3) == 0 ? random.nextDouble() * 90 : random.nextInt(-100, 900) / 10.0;
            return random.nextBoolean() ? Temperature.celsius(number) : Temperature.fahrenheit(number * 2);
        }
        if (type == Titration.class) {
            Titration.Acid acid = any(List.of(Titration.Acid.values()), random);
            return new Titration(
                    acid,
                    random.nextInt(0, 90) / 10.0,
                    acid.isStandard() ? 0.1 : 1.5,
                    random.nextBoolean() ? Mass.grams(10) : Mass.ounces(0.35));
        }
        if (type == Bars.class) {
            return any(
                    List.of(
                            Bars.numbered(3),
                            Bars.numbered(2, 5, 8),
                            Bars.numbered(1, 2),
                            Bars.some(1),
                            Bars.some(3),
                            Bars.some(12),
                            Bars.numbered(3).of(PORTIONS.get(0)),
                            Bars.some(1).of(PORTIONS.get(1)),
                            Bars.some(2).of(PORTIONS.get(0))),
                    random);
        }
        if (type == Weighable.class) {
            return any(
                    List.of(
                            Weighable.fat("lard"),
                            Weighable.fat("shea-butter"),
                            Weighable.NAOH,
                            Weighable.KOH,
                            Weighable.liquid("distilled-water"),
                            Weighable.liquid("goat-milk-whole"),
                            Weighable.additive("eo-lavender")),
                    random);
        }
        if (type == Named.class) {
            return switch (part.getName()) {
                case "portion" -> any(PORTIONS, random);
                case "vessel" -> any(VESSELS, random);
                default -> new Names(PLAN, Catalogue.standard()).substance(any(NAMES, random));
            };
        }
        if (type == int.class) {
            return kind.type() == Entry.Judged.class
                    ? (part.getName().equals("of") ? 6 : random.nextInt(1, 7))
                    : random.nextInt(1, 100);
        }
        if (part.getName().equals("grades")) {
            return Arrays.stream(SensoryScale.values())
                    .filter(s -> random.nextBoolean())
                    .map(s -> new Entry.Judged.Grade(s, random.nextInt(1, 6)))
                    .toList();
        }
        if (type == double.class) {
            double most = kind.type() == Entry.RestScaled.class ? 2 : kind.type() == Entry.PhRead.class ? 14 : 20;
            return random.nextBoolean()
                    ? Math.round(random.nextDouble() * most * 10) / 10.0
                    : random.nextDouble() * most;
        }
        if (type == List.class) {
            return WORDS.subList(0, random.nextInt(WORDS.size()));
        }
        return part.getName().equals("finding")
                ? any(Findings.ALL.stream().map(Finding::id).toList(), random)
                : any(WORDS, random);
    }

    private static <T> T any(List<T> choices, Random random) {
        return choices.get(random.nextInt(choices.size()));
    }
}
