package io.causticon.core.science.loaf;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.making.TraceRung;
import java.util.List;

/**
 * A poured loaf and what stands round it.
 *
 * @param batter what was poured
 * @param shape whether the section is that of a long loaf or of a standing cylinder
 * @param width inner width, or diameter of a cylinder, m
 * @param height fill height, m
 * @param length inner length, m; not read for a cylinder
 * @param side the long walls
 * @param top lid or open face
 * @param bottom what it stands on
 * @param poured temperature at pouring
 * @param converted share of the fats that had reacted at pouring: emulsion .02, light trace .05, medium .08, thick .13
 * @param around what stands round it, hour by hour
 * @param expected how far its walls and its batter may be from what is reckoned
 */
public record LoafSetup(
        Batter batter,
        Shape shape,
        double width,
        double height,
        double length,
        Wall side,
        Wall top,
        Wall bottom,
        Temperature poured,
        double converted,
        Programme around,
        LoafExpectation expected) {

    private static final double MILLIMETRE = 0.001;
    private static final double LEAST_FILL = 0.01;

    /**
     * K: warmer than this above the room it stands on a rack, with air from all sides, and not on a table (a
     * judgement).
     */
    private static final double OVEN_ABOVE_ROOM = 15;

    /** Whose half section is computed. */
    public enum Shape {
        /** A box, its length reckoned by {@link Length}. */
        LOAF,
        /** Rotated round its left edge. */
        CYLINDER
    }

    /** A box in a room that stays as it is. */
    public LoafSetup(
            Batter batter,
            double width,
            double height,
            double length,
            Wall side,
            Wall top,
            Wall bottom,
            Temperature poured,
            double converted,
            Temperature room) {
        this(
                batter,
                Shape.LOAF,
                width,
                height,
                length,
                side,
                top,
                bottom,
                poured,
                converted,
                Programme.at(room),
                LoafExpectation.USUAL);
    }

    /**
     * The same with another batter and walls that let more or less heat out.
     *
     * @param loss factor of what goes through the outer half of each wall
     */
    LoafSetup with(Batter other, double loss) {
        return new LoafSetup(
                other,
                shape,
                width,
                height,
                length,
                side.looserBy(loss),
                top.looserBy(loss),
                bottom.looserBy(loss),
                poured,
                converted,
                around,
                expected);
    }

    /**
     * Poured thinner or thicker than at light trace.
     *
     * @param share of the fats that had reacted, 0 to 1
     */
    public LoafSetup pouredAt(double share) {
        return new LoafSetup(batter, shape, width, height, length, side, top, bottom, poured, share, around, expected);
    }

    /** Of which something is known. */
    public LoafSetup expecting(LoafExpectation known) {
        return new LoafSetup(batter, shape, width, height, length, side, top, bottom, poured, converted, around, known);
    }

    /** As it is most likely to be. */
    LoafSetup mostLikely() {
        return with(batter.with(1, 0, expected.rateFactor()), expected.lossFactor());
    }

    /** Where the walls begin: a mould stood in the room before it was filled, whatever it is put into then. */
    Temperature wallsAt() {
        return around.room();
    }

    /** How a mould is kept while the soap sets. */
    public enum Wrap {
        OPEN,
        COVERED,
        INSULATED
    }

    /** A loaf in one of the workshop's moulds, in a room that stays as it is. */
    public static LoafSetup in(
            Mould mould, double fillHeight, Batter batter, Wrap wrap, Temperature poured, Temperature room) {
        return in(mould, fillHeight, batter, wrap, poured, Programme.at(room));
    }

    /** A loaf in one of the workshop's moulds. */
    public static LoafSetup in(
            Mould mould, double fillHeight, Batter batter, Wrap wrap, Temperature poured, Programme around) {
        double height = Math.max(LEAST_FILL, Math.min(fillHeight, mould.height()) * MILLIMETRE);
        boolean oven = around.warmest().celsius() - around.room().celsius() > OVEN_ABOVE_ROOM;
        return new LoafSetup(
                batter,
                mould.kind() == MouldKind.TUBE ? Shape.CYLINDER : Shape.LOAF,
                Math.min(mould.width(), mould.length()) * MILLIMETRE,
                height,
                Math.max(mould.width(), mould.length()) * MILLIMETRE,
                Wall.of(oven ? Wall.FILM_OVEN : Wall.FILM_SIDE, wall(mould, wrap, false)),
                Wall.of(Wall.FILM_TOP, wall(mould, wrap, true)),
                Wall.of(oven ? Wall.FILM_OVEN : Wall.FILM_TABLE, wall(mould, wrap, false)),
                poured,
                TraceRung.LIGHT.converted(),
                around,
                LoafExpectation.USUAL);
    }

    private static List<Wall.Layer> wall(Mould mould, Wrap wrap, boolean top) {
        Wall.Layer shell = switch (mould.kind()) {
            case WOODEN_LOAF -> Wall.Layer.WOOD_15;
            case SLAB, CUSTOM -> Wall.Layer.WOOD_10;
            case TUBE -> Wall.Layer.PVC_3;
            case SILICONE_LOAF, CAVITIES -> Wall.Layer.SILICONE_2;
        };
        if (top) {
            return switch (wrap) {
                case OPEN -> List.of();
                case COVERED -> List.of(Wall.Layer.STILL_AIR, Wall.Layer.CARD_3);
                case INSULATED -> List.of(Wall.Layer.STILL_AIR, Wall.Layer.WOOD_15, Wall.Layer.TOWELS);
            };
        }
        return wrap == Wrap.INSULATED ? List.of(shell, Wall.Layer.TOWELS) : List.of(shell);
    }
}
