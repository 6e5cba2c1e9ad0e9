package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Liquid;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What things are called in one batch. The plan of a batch keeps everything whole that it is made of, so what a
 * workshop has of its own is found there like what stands in the tables.
 *
 * @param plan null when nothing is known but the tables
 * @param tables where to look for what the plan does not hold
 */
public record Names(@Nullable BatchPlan plan, Catalogue tables) {

    /** Of things that are in no plan. */
    public static final Names OF_THE_TABLES = new Names(null, Catalogue.standard());

    private static final String PORTION = "portion-";

    /** As short as it is plain. */
    public String of(Weighable what) {
        return switch (what.kind()) {
            case FAT ->
                planned()
                        .flatMap(p -> p.formula().fats().stream())
                        .map(f -> f.fat())
                        .filter(f -> f.id().equals(what.id()))
                        .findFirst()
                        .or(() -> tables.findFat(what.id()))
                        .map(f -> f.shortName())
                        .orElseGet(() -> spoken(what.id()));
            case LIQUID ->
                Stream.concat(liquids(), tables.findLiquid(what.id()).stream())
                        .filter(l -> l.id().equals(what.id()))
                        .findFirst()
                        .map(Liquid::name)
                        .orElseGet(() -> spoken(what.id()));
            case ADDITIVE ->
                Stream.concat(additives(), tables.findAdditive(what.id()).stream())
                        .filter(a -> a.id().equals(what.id()))
                        .findFirst()
                        .map(Additive::name)
                        .orElseGet(() -> spoken(what.id()));
            case SCRAP ->
                scraps().filter(x -> x.id().equals(what.id()))
                        .findFirst()
                        .map(ScrapPortion::name)
                        .orElseGet(() -> spoken(what.id()));
            case ALKALI ->
                what.equals(Weighable.NAOH) ? "NaOH" : what.equals(Weighable.KOH) ? "KOH" : spoken(what.id());
        };
    }

    /** The name of something that is nowhere to be found, from its id. */
    private static String spoken(String id) {
        String words = id.replaceFirst("^own-", "").replace('-', ' ');
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** What is added to a batter by this name, with its id where the plan or the tables have it. */
    public Named substance(String called) {
        return new Named(
                Stream.concat(
                                additives().map(a -> new Named(a.id(), a.name())),
                                liquids().map(l -> new Named(l.id(), l.name())))
                        .filter(n -> Catalogue.answersTo(n.id(), n.name(), called))
                        .findFirst()
                        .or(() -> tables.additiveCalled(Catalogue.Called.of(called))
                                .map(a -> new Named(a.id(), a.name())))
                        .map(Named::id)
                        .orElse(null),
                called);
    }

    /** A portion by its name, with its place in the plan where the plan has it. */
    public Named portion(String called) {
        return plannedPortion(called).orElseGet(() -> Named.called(called.trim()));
    }

    /** A portion of the plan, by the place that it has there. */
    Optional<Named> plannedPortion(String called) {
        List<Portion> portions = planned()
                .flatMap(p -> p.pouring().portioning().portions().stream())
                .toList();
        for (int i = 0; i < portions.size(); i++) {
            if (portions.get(i).name().trim().equalsIgnoreCase(called.trim())) {
                return Optional.of(new Named(PORTION + (i + 1), called.trim()));
            }
        }
        return Optional.empty();
    }

    /** An additive of the plan by what a maker may call it. */
    Optional<Additive> plannedAdditive(String called) {
        return additives()
                .filter(a -> Catalogue.answersTo(a.id(), a.name(), called))
                .findFirst();
    }

    /** An additive of the plan or the tables by what a maker may call it. */
    Optional<Additive> additive(String called) {
        return plannedAdditive(called).or(() -> tables.additiveCalled(Catalogue.Called.of(called)));
    }

    /** What can be put on the scale under this name. */
    Optional<Weighable> weighable(String words) {
        Catalogue.Called called = Catalogue.Called.of(words);
        return Stream.of(
                        scraps().filter(x -> Catalogue.answersTo(x.id(), x.name(), called))
                                .map(x -> Weighable.scrap(x.id())),
                        planned()
                                .flatMap(p -> p.formula().fats().stream())
                                .filter(f -> Catalogue.answersTo(
                                        f.fat().id(), f.fat().name(), called))
                                .map(f -> Weighable.fat(f.fat().id())),
                        liquids()
                                .filter(l -> Catalogue.answersTo(l.id(), l.name(), called) || isWater(l, words))
                                .map(l -> Weighable.liquid(l.id())),
                        additives()
                                .filter(a -> Catalogue.answersTo(a.id(), a.name(), called))
                                .map(a -> Weighable.additive(a.id())))
                .flatMap(s -> s)
                .findFirst()
                .or(() -> tables.fatCalled(called).map(f -> Weighable.fat(f.id())))
                .or(() -> tables.liquidCalled(called).map(l -> Weighable.liquid(l.id())))
                .or(() -> tables.additiveCalled(called).map(a -> Weighable.additive(a.id())));
    }

    private static boolean isWater(Liquid liquid, String called) {
        return called.equalsIgnoreCase("water") && liquid.id().endsWith("-water");
    }

    private Stream<BatchPlan> planned() {
        return Stream.ofNullable(plan);
    }

    private Stream<ScrapPortion> scraps() {
        return planned().flatMap(p -> Stream.ofNullable(p.rework())).flatMap(r -> r.scraps().stream());
    }

    private Stream<Liquid> liquids() {
        return planned()
                .flatMap(p -> Stream.concat(
                        p.formula().liquidParts().stream().map(LiquidPart::liquid),
                        p.pouring().portioning().portions().stream()
                                .flatMap(x -> x.liquids().stream())
                                .map(Portion.OwnLiquid::liquid)));
    }

    private Stream<Additive> additives() {
        return planned()
                .flatMap(p -> Stream.concat(
                        p.formula().additives().stream().map(AdditivePortion::additive),
                        p.pouring().portioning().portions().stream()
                                .flatMap(x -> x.additives().stream())
                                .map(Portion.OwnAdditive::additive)));
    }
}
