package io.causticon.core.model.substance;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Which fats are like another: by how much of its fatty acids would have to be exchanged for those of the other. */
public final class Likeness {

    /** Of half of the acids exchanged nobody says that they are alike. */
    private static final double MOST_EXCHANGED = 0.25;

    private Likeness() {}

    /**
     * The fats that are most like one, the nearest first; fewer where fewer are alike.
     *
     * @param fat which others are to be like
     * @param among what there is
     * @param many how many at most
     */
    public static List<Fat> nearest(Fat fat, Collection<Fat> among, int many) {
        record Near(Fat fat, double exchangedShare) {}
        return among.stream()
                .filter(f -> !f.id().equals(fat.id()) && f.kind() == fat.kind())
                .map(f -> new Near(f, exchangedShare(fat, f)))
                .filter(n -> n.exchangedShare() <= MOST_EXCHANGED)
                .sorted(Comparator.comparingDouble(Near::exchangedShare))
                .limit(many)
                .map(Near::fat)
                .toList();
    }

    /** The part of one's acids that are not in the other, 0 for the same to 1 for nothing in common. */
    public static double exchangedShare(Fat one, Fat other) {
        Map<FattyAcid, Double> left = new HashMap<>();
        one.acids().forEach(a -> left.merge(a.acid(), a.share().fraction(), Double::sum));
        other.acids().forEach(a -> left.merge(a.acid(), -a.share().fraction(), Double::sum));
        return left.values().stream().mapToDouble(Math::abs).sum() / 2;
    }
}
