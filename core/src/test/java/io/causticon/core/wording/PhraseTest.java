package io.causticon.core.wording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.quantity.Mass;
import org.junit.jupiter.api.Test;

class PhraseTest {

    @Test
    void writesItsValuesInTheirPlacesByWhoeverKnowsTheUnits() {
        Phrase phrase = Phrase.of("{} of {} missing", Mass.grams(300), "Olive");
        assertThat(phrase.written(v -> v instanceof Mass m ? m.grams() + " g" : v.toString()))
                .isEqualTo("300.0 g of Olive missing");
        assertThat(phrase.written(v -> v instanceof Mass m ? Math.round(m.inOunces()) + " oz" : v.toString()))
                .isEqualTo("11 oz of Olive missing");
    }

    @Test
    void withoutPlacesIsItsWords() {
        assertThat(Phrase.of("no slip at the scale").written(Object::toString)).isEqualTo("no slip at the scale");
    }

    @Test
    void goesOnWithAnother() {
        Phrase both =
                Phrase.of("{} too much", "84 g").then("; ", Phrase.of("superfat planned {}, then {}", "5 %", "2 %"));
        assertThat(both.written(Object::toString)).isEqualTo("84 g too much; superfat planned 5 %, then 2 %");
    }

    @Test
    void aValueIsNeverReadAsAPlace() {
        assertThat(Phrase.of("{} and {}", "{}", "two").written(Object::toString))
                .isEqualTo("{} and two");
    }

    @Test
    void withMoreValuesThanPlacesIsAMistakeOfOurs() {
        assertThatThrownBy(() -> Phrase.of("{}", "one", "two").written(Object::toString))
                .isInstanceOf(IllegalStateException.class);
    }

    @Test
    void mayHoldOneWithin() {
        assertThat(Phrase.of("weigh {} if it was {}", 5, Phrase.of("{} left out", "Olive"))
                        .written(Object::toString))
                .isEqualTo("weigh 5 if it was Olive left out");
    }
}
