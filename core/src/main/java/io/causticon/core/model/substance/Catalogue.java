package io.causticon.core.model.substance;

import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** All fats, liquids and additives that ship with the application. Immutable. */
public final class Catalogue {

    private static final Catalogue STANDARD = new Catalogue(FatRows.read(), LiquidRows.read(), AdditiveRows.read());

    static final String ESSENTIAL = "eo-";

    /** Letters of an essential oil that stand for it: one or two are a slip of the thumb. */
    static final int SHORTEST_BEGINNING = 3;

    private static final Map<String, String> POWDERS =
            Map.of("goat-milk-whole", "powdered-goat-milk", "cow-milk-whole", "powdered-whole-milk");

    private final Map<String, Fat> fats;
    private final Map<String, Liquid> liquids;
    private final Map<String, Additive> additives;
    private final CalledIndex<Fat> fatsCalled;
    private final CalledIndex<Liquid> liquidsCalled;
    private final CalledIndex<Additive> additivesCalled;

    Catalogue(List<Fat> fats, List<Liquid> liquids, List<Additive> additives) {
        this.fats = byId(fats, Fat::id);
        this.liquids = byId(liquids, Liquid::id);
        this.additives = byId(additives, Additive::id);
        this.fatsCalled = new CalledIndex<>(this.fats.values(), Fat::id, Fat::name);
        this.liquidsCalled = new CalledIndex<>(this.liquids.values(), Liquid::id, Liquid::name);
        this.additivesCalled = new CalledIndex<>(this.additives.values(), Additive::id, Additive::name);
    }

    public static Catalogue standard() {
        return STANDARD;
    }

    /** This catalogue with what the workshop has of its own; the same id replaces. */
    public Catalogue with(Collection<Fat> ownFats, Collection<Additive> ownAdditives) {
        return new Catalogue(
                Stream.concat(fats.values().stream(), ownFats.stream()).toList(),
                List.copyOf(liquids.values()),
                Stream.concat(additives.values().stream(), ownAdditives.stream())
                        .toList());
    }

    public Collection<Fat> fats() {
        return fats.values();
    }

    public Collection<Liquid> liquids() {
        return liquids.values();
    }

    public Collection<Additive> additives() {
        return additives.values();
    }

    /** @throws IllegalArgumentException if there is none of this id */
    public Fat fat(String id) {
        return findFat(id).orElseThrow(() -> unknown("fat", id));
    }

    /** @throws IllegalArgumentException if there is none of this id */
    public Liquid liquid(String id) {
        return findLiquid(id).orElseThrow(() -> unknown("liquid", id));
    }

    /** @throws IllegalArgumentException if there is none of this id */
    public Additive additive(String id) {
        return findAdditive(id).orElseThrow(() -> unknown("additive", id));
    }

    public Optional<Fat> findFat(String id) {
        return Optional.ofNullable(fats.get(id));
    }

    public Optional<Liquid> findLiquid(String id) {
        return Optional.ofNullable(liquids.get(id));
    }

    public Optional<Additive> findAdditive(String id) {
        return Optional.ofNullable(additives.get(id));
    }

    /** The first fat that answers to these words. */
    public Optional<Fat> fatCalled(Called called) {
        return fatsCalled.find(called);
    }

    /** The first liquid that answers to these words. */
    public Optional<Liquid> liquidCalled(Called called) {
        return liquidsCalled.find(called);
    }

    /** The first additive that answers to these words. */
    public Optional<Additive> additiveCalled(Called called) {
        return additivesCalled.find(called);
    }

    /** The powder that a liquid can be made from again with water; empty where there is none. */
    public Optional<Liquid> powderOf(Liquid liquid) {
        return Optional.ofNullable(POWDERS.get(liquid.id())).flatMap(this::findLiquid);
    }

    /**
     * What a maker may call a substance: its id, its name, the first words of its id, or how an essential oil begins.
     */
    public static boolean answersTo(String id, String name, String called) {
        return answersTo(id, name, Called.of(called));
    }

    /**
     * What a maker calls something, ready to be held against all there is.
     *
     * @param words as she wrote them
     * @param asked as ids are written
     */
    public record Called(String words, String asked) {

        public static Called of(String called) {
            String words = called.trim();
            return new Called(words, words.toLowerCase(Locale.ROOT).replace(' ', '-'));
        }
    }

    /** The same, where many are asked. */
    public static boolean answersTo(String id, String name, Called called) {
        String words = called.words();
        String asked = called.asked();
        boolean begins = !asked.isEmpty() && id.startsWith(asked);
        return begins && (id.length() == asked.length() || id.charAt(asked.length()) == '-')
                || name.equalsIgnoreCase(words)
                || asked.length() >= SHORTEST_BEGINNING
                        && id.startsWith(ESSENTIAL)
                        && id.startsWith(asked, ESSENTIAL.length());
    }

    private static <T> Map<String, T> byId(List<T> rows, Function<T, String> id) {
        Map<String, T> inFileOrder = new LinkedHashMap<>();
        rows.forEach(row -> inFileOrder.put(id.apply(row), row));
        return Collections.unmodifiableMap(inFileOrder);
    }

    private static IllegalArgumentException unknown(String kind, String id) {
        return new IllegalArgumentException("Impossible state: no " + kind + " called " + id);
    }
}
