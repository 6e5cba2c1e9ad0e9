package io.causticon.web.store.account;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.problem.ProblemKey;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which passwords are refused because they are guessed first. */
class GuessedFirstTest {

    private static final String[] NAMES = {"ines", "Ines Harrow", "Saltern Lane Soapworks"};

    private final GuessedFirst guessedFirst = new GuessedFirst();

    @ParameterizedTest
    @ValueSource(
            strings = {
                "password123",
                "1234567890",
                "qwertyuiop",
                "Passw0rd2020",
                "aaaaaaaaaaaa",
                "abcdefghijkl",
                "iloveyou12",
                "basketball",
                "soapsoapsoap",
                "12/11/1980"
            })
    void thoseThatAreOftenMet(String password) {
        assertThat(guessedFirst.problem(password, NAMES)).contains(ProblemKey.COMMON_PASSWORD);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "saltern-lane",
                "SalternLane1",
                "ines-harrow",
                "harrowines",
                "saltern lane soapworks",
                "s4ltern1an3",
                "worrah-seni",
                "causticon1"
            })
    void thoseMadeOfTheOwnName(String password) {
        assertThat(guessedFirst.problem(password, NAMES)).contains(ProblemKey.OWN_NAME);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "lye-into-water",
                "long-enough-1",
                "another-one-7",
                "tide-salt-9",
                "correct horse battery staple",
                "gr\u00fcne Seife im Mai",
                "\u77f3\u9e78\u306f\u51b7\u305f\u3044\u6c34\u306b",
                "ines counts nine grey gulls"
            })
    void othersWillDo(String password) {
        assertThat(guessedFirst.problem(password, NAMES)).isEmpty();
    }

    /** What has letters for figures in every place has a great many readings. */
    @Test
    void areWorkedOutWhateverTheyAreMadeOf() {
        String odd = "4@8({[<3690!1|7$5+%2z".repeat(4).substring(0, 72);
        assertThat(guessedFirst.problem(odd, NAMES)).isEmpty();
        assertThat(guessedFirst.problem("\u0000".repeat(72), NAMES)).isPresent();
    }
}
