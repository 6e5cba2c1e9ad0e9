package io.causticon.web.exchange.api;

import io.causticon.core.model.said.entry.Suggestion;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.shared.UnreadableException;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.DoubtsException;
import io.causticon.web.store.token.Caller;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** What keeps a program's question from being answered, as RFC 9457 has it. */
@RestControllerAdvice(assignableTypes = ApiController.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiFaults {

    private static final int UNPROCESSABLE = 422;

    private final ProblemWords words;

    ApiFaults(ProblemWords words) {
        this.words = words;
    }

    @ExceptionHandler(NotFoundException.class)
    ProblemDetail notFound(NotFoundException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, "There is no " + e.getMessage() + ".");
    }

    @ExceptionHandler(NewLine.BadLine.class)
    ProblemDetail bad(NewLine.BadLine e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, e.words());
    }

    @ExceptionHandler(ApiController.NotAllowed.class)
    ProblemDetail notAllowed(ApiController.NotAllowed e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, String.valueOf(e.getMessage()));
    }

    @ExceptionHandler(ApiController.NotJson.class)
    ProblemDetail notJson() {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "Send application/json.");
    }

    /** Words that are not understood are asked about here as they are at the bench. */
    @ExceptionHandler(ApiController.NotUnderstood.class)
    ProblemDetail notUnderstood(ApiController.NotUnderstood e, @AuthenticationPrincipal Caller caller) {
        ProblemDetail detail = ProblemDetail.forStatus(UNPROCESSABLE);
        detail.setDetail(said(e.problems(), caller));
        detail.setProperty("maybe", e.maybe().stream().map(Suggestion::line).toList());
        return detail;
    }

    /** What is odd about a line is asked here as it is at the bench. */
    @ExceptionHandler(DoubtsException.class)
    ProblemDetail doubts(DoubtsException e, @AuthenticationPrincipal Caller caller) {
        ProblemDetail detail = ProblemDetail.forStatus(UNPROCESSABLE);
        List<Asked> asked = e.doubts().stream()
                .map(d -> new Asked(
                        d.kind().name(),
                        caller.maker().formats().phrase(d.words()),
                        d.meant().stream()
                                .map(m -> EntryWords.of(
                                                m,
                                                e.batch().names(),
                                                caller.maker().formats())
                                        .text())
                                .toList()))
                .toList();
        detail.setDetail(asked.stream().map(Asked::asks).collect(Collectors.joining(" ")));
        detail.setProperty("doubts", asked);
        return detail;
    }

    /**
     * A question about a line.
     *
     * @param kind what it comes again with in answers, where it is so
     * @param asks the question
     * @param maybe what may have been meant
     */
    record Asked(String kind, String asks, List<String> maybe) {}

    @ExceptionHandler(ProblemsException.class)
    ProblemDetail problems(ProblemsException e, @AuthenticationPrincipal Caller caller) {
        if (e.problems().stream().anyMatch(p -> p.key() == ProblemKey.FORM_USED)) {
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.CONFLICT,
                    "Under this Idempotency-Key another line was sent before. That one is kept, and this one is not.");
        }
        ProblemDetail detail = ProblemDetail.forStatus(UNPROCESSABLE);
        detail.setDetail(said(e.problems(), caller));
        return detail;
    }

    private String said(List<Problem> problems, Caller caller) {
        return String.join(
                " ",
                problems.stream()
                        .map(p -> words.of(p, caller.maker().formats()))
                        .toList());
    }

    @ExceptionHandler(UnreadableException.class)
    ProblemDetail unreadable(UnreadableException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.title() + ": " + e.getMessage());
    }

    @ExceptionHandler({DataIntegrityViolationException.class, ConcurrencyFailureException.class})
    ProblemDetail atOnce() {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT,
                "The same was being changed at the same moment. Send it again under the same key.");
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ProblemDetail mismatch(MethodArgumentTypeMismatchException e) {
        return e.getName().equals("id")
                ? ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, "There is no such batch; its id is a UUID.")
                : ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, e.getName() + " cannot be read.");
    }

    @ExceptionHandler({TypeMismatchException.class, HttpMessageNotReadableException.class})
    ProblemDetail unreadableBody() {
        return ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "A body is missing, or breaks off.");
    }
}
