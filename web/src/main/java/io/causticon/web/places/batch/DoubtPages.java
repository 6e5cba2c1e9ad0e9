package io.causticon.web.places.batch;

import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.said.entry.Suggestion;
import io.causticon.core.workshop.assessment.Doubt;
import io.causticon.web.shared.FormField;
import io.causticon.web.shared.Frame;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Answers;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.DoubtsException;
import io.causticon.web.store.batch.Logbook;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/** Asks about a line, whichever form it came by: with all that the form held, so that nothing is typed twice. */
@ControllerAdvice
class DoubtPages {

    /** Understood, and not kept before it is answered. */
    private static final int UNPROCESSABLE = 422;

    private static final Set<String> OF_THE_FORM_ITSELF = Set.of("_csrf", Answers.FIELD);

    private final Logbook logbook;

    DoubtPages(Logbook logbook) {
        this.logbook = logbook;
    }

    /** A question: its words, and lines that may have been meant. */
    record Question(String words, List<Suggestion> rather) {}

    @ExceptionHandler(DoubtsException.class)
    String ask(
            DoubtsException e,
            Maker maker,
            Frame frame,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        response.setStatus(UNPROCESSABLE);
        List<FormField> fields = FormField.of(request, OF_THE_FORM_ITSELF);
        Set<DoubtKind> answered = new TreeSet<>(Answers.ofTheForm().said());
        boolean mould = e.doubts().stream().anyMatch(d -> d.kind() == DoubtKind.IN_THE_MOULD);
        e.doubts().forEach(d -> answered.add(d.kind()));
        model.addAttribute("frame", frame);
        model.addAttribute("key", UUID.randomUUID().toString());
        model.addAttribute("batch", "/batch/" + e.batch().id());
        model.addAttribute("name", e.batch().name());
        model.addAttribute("action", request.getRequestURI());
        model.addAttribute("fields", fields);
        // What was told before with an earlier question is told still.
        String told = Answers.ofTheForm().isOut() ? " " + Answers.OUT : "";
        model.addAttribute("answered", Answers.written(answered) + told);
        model.addAttribute(
                "typed",
                fields.stream()
                        .filter(f -> f.name().equals("quick"))
                        .map(FormField::value)
                        .findFirst()
                        .orElse(""));
        model.addAttribute("out", mould ? Answers.OUT : "");
        model.addAttribute(
                "questions",
                e.doubts().stream().map(d -> question(d, e.batch(), maker)).toList());
        return "batch/doubt";
    }

    private Question question(Doubt doubt, Batch batch, Maker maker) {
        return new Question(
                maker.formats().phrase(doubt.words()),
                doubt.meant().stream()
                        .map(m -> new Suggestion(
                                EntryWords.of(m, batch.names(), maker.formats()).text(),
                                logbook.shorthand(batch, m, maker)))
                        .toList());
    }
}
