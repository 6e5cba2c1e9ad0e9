package io.causticon.web.places.trial;

import io.causticon.core.quantity.Interval;
import io.causticon.core.science.trial.Effect;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LinearAxis;
import java.util.List;

/** Effects on one scale against the control: a mark for each arm and age with what it may be, nothing in the middle. */
final class EffectChart {

    private static final double WIDTH = 340;
    private static final double LEFT = 118;
    private static final double RIGHT = WIDTH - 12;
    private static final double TOP = 12;
    private static final double ROW = 22;
    private static final double MOST = 4;

    private EffectChart() {}

    static Drawing of(String name, List<Effect> effects) {
        double bottom = TOP + ROW * effects.size() + 4;
        Drawing.Builder drawing = Drawing.sized(WIDTH, bottom + 22, name + ": differences from the control in grades");
        LinearAxis grades = new LinearAxis(-MOST, MOST, LEFT, RIGHT);
        for (int g = (int) -MOST; g <= MOST; g += 2) {
            drawing.line(grades.at(g), TOP - 4, grades.at(g), bottom, g == 0 ? "axis" : "rule");
            drawing.textMiddle(grades.at(g), bottom + 16, g > 0 ? "+" + g : Formats.number(g, 0), "figure");
        }
        for (int i = 0; i < effects.size(); i++) {
            Effect e = effects.get(i);
            double y = TOP + ROW * (i + 0.5);
            drawing.textEnd(LEFT - 10, y + 4, e.arm() + ", " + e.age(), e.found() ? "small strong" : "small");
            Interval interval = e.interval();
            if (interval != null) {
                drawing.line(grades.at(interval.low()), y, grades.at(interval.high()), y, "ladder stroke-ink");
            }
            drawing.mark(e.found() ? "dot" : "open", grades.at(e.difference()), y);
        }
        return drawing.done();
    }
}
