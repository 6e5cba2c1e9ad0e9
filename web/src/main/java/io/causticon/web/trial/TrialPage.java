package io.causticon.web.trial;

import io.causticon.web.shared.Drawing;
import java.util.List;

/**
 * What a trial's page shows, already worded.
 *
 * @param arms what is compared
 * @param others what else differs between arms and the control
 * @param panels at each age: when, and who judged
 * @param results a chart a scale
 * @param rows the same as a table
 * @param sentence what it comes to
 * @param canJudge whether a round can be sat now
 */
record TrialPage(
        String id,
        String question,
        String factor,
        boolean coded,
        List<ArmWords> arms,
        List<String> others,
        List<Panel> panels,
        List<Result> results,
        List<Row> rows,
        String sentence,
        boolean canJudge) {

    /** One arm: its name, its batch, its age since the cut, why it is not washed with now; empty where it may be. */
    record ArmWords(String name, String href, String batch, String age, String kept, boolean control) {}

    /** One age. */
    record Panel(String age, String when, String judged) {}

    /** One scale. */
    record Result(String scale, Drawing chart) {}

    /** One effect. */
    record Row(String scale, String age, String arm, String difference, String interval, String chance, String more) {}

    /**
     * One arm before a judge.
     *
     * @param place from 1
     * @param of how many
     * @param shown its name or its letter
     * @param judge who
     * @param arm its index in the trial
     */
    record Turn(int place, int of, String shown, String judge, int arm) {}
}
