package io.causticon.core.model.finding;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Something that can be seen, felt or measured, and is either there or not. A finding holds facts; how much it weighs
 * stands in the knowledge.
 *
 * @param id its stable name
 * @param words what it is when it is there
 * @param absent what it is when it was looked for and is not there
 * @param group where makers look for it
 * @param look how to find out, as an instruction
 * @param minutes how long that takes
 * @param from age of the batch from which it can be looked at
 * @param until age up to which it can
 * @param takes how long one waits for the answer, beside the minutes of work
 * @param absenceClears whether its absence may count against a hazard; a pH strip's may not
 * @param alsoCalled other words for it in the quick line
 */
public record Finding(
        String id,
        String words,
        String absent,
        Group group,
        String look,
        int minutes,
        Duration from,
        Duration until,
        Duration takes,
        boolean absenceClears,
        List<String> alsoCalled) {

    /** Where makers look. */
    public enum Group {
        SURFACE("On the surface"),
        SKIN("On skin and in tests"),
        INSIDE("Inside the bar"),
        FEEL("How it feels"),
        POT("In the pot"),
        MOULD("In the mould"),
        CURE("Days to months later"),
        USE("In use"),
        SMELL("Its smell");

        private final String title;

        Group(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /** Longer than anything is kept. */
    private static final Duration FOR_GOOD = Duration.ofDays(36_500);

    public static Finding of(
            String id, Group group, String words, String absent, String look, int minutes, double days) {
        return new Finding(
                id, words, absent, group, look, minutes, days(days), FOR_GOOD, Duration.ZERO, true, List.of());
    }

    private static Duration days(double days) {
        return Duration.ofMinutes((long) (days * Duration.ofDays(1).toMinutes()));
    }

    public Finding called(String... otherWords) {
        return new Finding(
                id, words, absent, group, look, minutes, from, until, takes, absenceClears, List.of(otherWords));
    }

    /** It can be looked at up to an age of so many days. */
    Finding until(double days) {
        return new Finding(id, words, absent, group, look, minutes, from, days(days), takes, absenceClears, alsoCalled);
    }

    /** Its answer takes so many days. */
    Finding answeredIn(int days) {
        return new Finding(
                id, words, absent, group, look, minutes, from, until, Duration.ofDays(days), absenceClears, alsoCalled);
    }

    /** Whether it is known by a number, which says more than whether it was there. */
    public boolean isMeasured() {
        return equals(Findings.FREE_ALKALI) || equals(Findings.METER_HIGH);
    }

    /** Whether it is looked for on single bars, so that it matters on which. */
    public boolean isOfBars() {
        return group == Group.SURFACE || group == Group.SKIN || group == Group.INSIDE;
    }

    /** All words that mean it in the quick line, in small letters. */
    public List<String> said() {
        return Stream.concat(Stream.of(words), alsoCalled.stream())
                .map(w -> w.toLowerCase(Locale.ROOT))
                .distinct()
                .toList();
    }

    /** Its absence says nothing in favour of the bar. */
    Finding neverClears() {
        return new Finding(id, words, absent, group, look, minutes, from, until, takes, false, alsoCalled);
    }
}
