package io.causticon.core.science.diagnosis;

import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.network.Belief;
import io.causticon.core.science.diagnosis.network.Network;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;

/** Asks what would be believed without each finding. */
final class HingeFinder {

    /** A finding that is seen is explained by a condition from here on. */
    private static final double EXPLAINS = .35;

    /** What is looked for and not there was as good as certain from here on. */
    private static final double CERTAIN = .97;

    /** What is seen is odd below this. */
    private static final double UNEXPECTED = .03;

    private static final int MOST_TOLD = 3;

    /** Of more than these no single one is likely to be what it hangs on, and asking takes too long. */
    private static final int MOST_ASKED = 24;

    private final Network network;
    private final List<Evidence> evidence;
    private final Belief belief;
    private final Function<List<Evidence>, Belief> believed;

    /**
     * @param evidence all of it
     * @param belief after all of it
     * @param believed what is believed after some of it
     */
    HingeFinder(Network network, List<Evidence> evidence, Belief belief, Function<List<Evidence>, Belief> believed) {
        this.network = network;
        this.evidence = evidence.stream()
                .filter(e -> e.counts() && network.indexOf(e.finding()) >= 0)
                .toList();
        this.belief = belief;
        this.believed = believed;
    }

    Hinges find() {
        if (evidence.size() > MOST_ASKED) {
            return Hinges.NONE;
        }
        String told = told(belief);
        List<Evidence> restsOn = new ArrayList<>();
        List<Hinges.Odd> odd = new ArrayList<>();
        for (Evidence item : evidence) {
            List<Evidence> rest = evidence.stream().filter(e -> e != item).toList();
            Belief without = believed.apply(rest);
            if (!told(without).equals(told)) {
                restsOn.add(item);
            }
            if (isOdd(item, without)) {
                leastWith(item, rest).ifPresent(other -> odd.add(new Hinges.Odd(item, other)));
            }
        }
        return new Hinges(
                restsOn.stream().limit(MOST_TOLD).toList(),
                odd.stream().limit(MOST_TOLD).toList());
    }

    /** Whether it is held, else what it most likely has, else that nothing leads. */
    private String told(Belief believed) {
        if (believed.anyHazard() >= Diagnosis.HOLD_FROM) {
            return "held";
        }
        return IntStream.range(0, network.conditions().size())
                .filter(c -> believed.of(c) >= Diagnosis.LEADS_FROM)
                .boxed()
                .max(Comparator.comparingDouble(believed::of))
                .map(c -> network.conditions().get(c).id())
                .orElse("nothing leads");
    }

    private boolean isOdd(Evidence item, Belief without) {
        double likely = likely(item, without);
        if (!item.isPresent()) {
            return likely > CERTAIN;
        }
        int finding = network.indexOf(item.finding());
        boolean explained = IntStream.range(0, network.conditions().size())
                .anyMatch(c -> network.canBringAbout(c, finding) && belief.of(c) >= EXPLAINS);
        return !explained && likely < UNEXPECTED;
    }

    /** How likely it was to be seen. */
    private double likely(Evidence item, Belief before) {
        return before.outlook(network.indexOf(item.finding()), 0).likely();
    }

    /** The other finding without which this one would be least surprising. */
    private Optional<Evidence> leastWith(Evidence item, List<Evidence> rest) {
        return rest.stream().max(Comparator.comparingDouble(other -> {
            double likely = likely(
                    item, believed.apply(rest.stream().filter(e -> e != other).toList()));
            return item.isPresent() ? likely : 1 - likely;
        }));
    }
}
