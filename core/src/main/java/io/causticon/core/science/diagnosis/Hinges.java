package io.causticon.core.science.diagnosis;

import io.causticon.core.science.diagnosis.evidence.Evidence;
import java.util.List;

/**
 * What a diagnosis hangs on, and what does not go with it.
 *
 * @param restsOn findings each of which, were it taken back, would change what the batch is held to have
 * @param odd findings that nothing likely explains, or that are missing where they would be expected
 */
public record Hinges(List<Evidence> restsOn, List<Odd> odd) {

    static final Hinges NONE = new Hinges(List.of(), List.of());

    public Hinges {
        restsOn = List.copyOf(restsOn);
        odd = List.copyOf(odd);
    }

    /**
     * Two findings that do not go together.
     *
     * @param finding which does not go with the rest
     * @param with the one that it goes with least
     */
    public record Odd(Evidence finding, Evidence with) {}
}
