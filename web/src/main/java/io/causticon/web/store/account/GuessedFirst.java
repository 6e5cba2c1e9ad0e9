package io.causticon.web.store.account;

import com.nulabinc.zxcvbn.Pattern;
import com.nulabinc.zxcvbn.Zxcvbn;
import io.causticon.core.problem.ProblemKey;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Tells passwords that somebody who guesses tries first: those that are often met, rows of keys, dates, and whatever is
 * made of the maker's or the workshop's own name. The lists and the reckoning of guesses are those of zxcvbn (Wheeler,
 * USENIX Security 2016); that such are refused is asked for by NIST SP 800-63B.
 */
@Component
class GuessedFirst {

    /**
     * Guesses: between what zxcvbn calls enough for a door that is throttled, a million, and for one that is not, a
     * hundred million.
     */
    private static final double FEWEST_GUESSES = 1e7;

    /** Letters and figures beside a name that make a password of it. */
    private static final int LEAST_BESIDE_NAMES = 6;

    private static final String OWN_WORDS = "user_inputs";

    private static final int SHORTEST_WORD = 3;
    private static final String NO_LETTER = "[^\\p{L}\\p{N}]+";

    /** Its lists are read when somebody first chooses a password, and not at every start. */
    private static final class Reckoner {

        static final Zxcvbn ONE = new Zxcvbn();

        private Reckoner() {}
    }

    /**
     * Why a password will not do.
     *
     * @param password at most as long as one may be
     * @param names of who signs in, and of the workshop
     * @return {@link ProblemKey#OWN_NAME} or {@link ProblemKey#COMMON_PASSWORD}; empty where nothing is wrong with it
     */
    Optional<ProblemKey> problem(String password, String... names) {
        List<String> own = Stream.concat(Arrays.stream(names), Stream.of("causticon"))
                .flatMap(GuessedFirst::wordsOf)
                .filter(w -> w.length() >= SHORTEST_WORD)
                .distinct()
                .toList();
        if (besideNames(password, own) < LEAST_BESIDE_NAMES) {
            return Optional.of(ProblemKey.OWN_NAME);
        }
        return Reckoner.ONE.measure(password, own).getGuesses() < FEWEST_GUESSES
                ? Optional.of(ProblemKey.COMMON_PASSWORD)
                : Optional.empty();
    }

    /** Letters and figures that are left when names are taken out, backwards and with figures for letters as well. */
    private int besideNames(String password, List<String> own) {
        String plain = password.replaceAll(NO_LETTER, "");
        int ofNames = Reckoner.ONE.measure(plain, own).getSequence().stream()
                .filter(m -> m.pattern == Pattern.Dictionary && OWN_WORDS.equals(m.dictionaryName))
                .mapToInt(m -> m.token.length())
                .sum();
        return ofNames == 0 ? password.length() : plain.length() - ofNames;
    }

    /** A name whole, without its blanks, and word by word. */
    private static Stream<String> wordsOf(String name) {
        String whole = name.trim().toLowerCase(Locale.ROOT);
        return Stream.concat(Stream.of(whole, whole.replaceAll(NO_LETTER, "")), Arrays.stream(whole.split(NO_LETTER)));
    }
}
