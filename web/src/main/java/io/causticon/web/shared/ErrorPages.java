package io.causticon.web.shared;

import io.causticon.core.problem.ProblemsException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.convert.ConversionException;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.ui.Model;
import org.springframework.validation.BindException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Tells what went wrong in the maker's words. What is our fault goes to the log; what is the client's does not. */
@ControllerAdvice
class ErrorPages {

    private static final Logger LOG = LoggerFactory.getLogger(ErrorPages.class);
    private static final String NOTHING_CHANGED = "Nothing was changed; go back and what you typed is still there.";

    /**
     * H2's numbers for what the disk did not take, and for a database that closed itself because of that; see
     * org.h2.api.ErrorCode.
     */
    private static final Set<Integer> DISK = Set.of(90028, 90030, 90031, 90098, 90121);

    private static final int MOST_CAUSES = 40;

    /** An address that ends as a file does. */
    private static final Pattern FILE = Pattern.compile("\\.[a-z]{3,4}$");

    private final ProblemWords words;

    ErrorPages(ProblemWords words) {
        this.words = words;
    }

    @ExceptionHandler({NotFoundException.class, NoResourceFoundException.class})
    String notFound(HttpServletResponse response, Model model) {
        return page(
                response,
                model,
                HttpStatus.NOT_FOUND,
                "There is nothing here",
                "The page or the batch is not there, or the address is mistyped. Nothing was lost.");
    }

    /**
     * It is there, and it is shown: that is an answer, not a fault. Where a file is asked for there is none, and this
     * is not saved as one.
     */
    @ExceptionHandler(UnreadableException.class)
    String unreadable(UnreadableException e, HttpServletRequest request, HttpServletResponse response, Model model) {
        HttpStatus status = FILE.matcher(request.getRequestURI()).find() ? HttpStatus.CONFLICT : HttpStatus.OK;
        String page = page(response, model, status, e.title(), String.valueOf(e.getMessage()));
        model.addAttribute("lines", e.lines());
        return page;
    }

    @ExceptionHandler({MaxUploadSizeExceededException.class})
    String tooLarge(HttpServletResponse response, Model model) {
        return page(
                response,
                model,
                HttpStatus.CONTENT_TOO_LARGE,
                "That is too large",
                "A picture may have 12 MB, a form 256 kB. " + NOTHING_CHANGED);
    }

    /** A mistyped address leads nowhere; a value that cannot be read is one that no form of ours sends. */
    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    String mismatch(MethodArgumentTypeMismatchException e, HttpServletResponse response, Model model) {
        return e.getParameter().hasParameterAnnotation(PathVariable.class)
                ? notFound(response, model)
                : unreadableForm(response, model);
    }

    /** What no form of ours sends: a field that is missing or unreadable, a body that breaks off. */
    @ExceptionHandler({
        BindException.class,
        TypeMismatchException.class,
        ConversionException.class,
        HttpMessageNotReadableException.class,
        MultipartException.class,
        RequestRejectedException.class
    })
    String unreadableForm(HttpServletResponse response, Model model) {
        return page(
                response,
                model,
                HttpStatus.BAD_REQUEST,
                "That could not be read",
                "Something that the page needs is missing or cannot be read. " + NOTHING_CHANGED);
    }

    /** A fault in what was typed that no page told beside its field. */
    @ExceptionHandler(ProblemsException.class)
    String problems(ProblemsException e, HttpServletResponse response, Model model) {
        String said =
                String.join(" ", e.problems().stream().map(words::inEnglish).toList());
        return page(response, model, HttpStatus.BAD_REQUEST, "That cannot be", said + " " + NOTHING_CHANGED);
    }

    /** Two did the same at the same moment, and one was first. */
    @ExceptionHandler({DataIntegrityViolationException.class, ConcurrencyFailureException.class})
    String atOnce(HttpServletResponse response, Model model) {
        return page(
                response,
                model,
                HttpStatus.CONFLICT,
                "Somebody was quicker",
                "The same was being changed at the same moment. Go back, look how it stands now, and try again.");
    }

    /** Whoever watched a bench has left: nothing to tell, nobody to tell it to. */
    @ExceptionHandler({AsyncRequestNotUsableException.class, AsyncRequestTimeoutException.class})
    void left() {
        // The connection is gone.
    }

    @ExceptionHandler(Exception.class)
    String failed(Exception e, HttpServletRequest request, HttpServletResponse response, Model model) {
        if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            return asked(known.getStatusCode(), response, model);
        }
        if (cannotBeWritten(e)) {
            LOG.error(
                    "{} {}: the disk is full or cannot be written: {}",
                    request.getMethod(),
                    request.getRequestURI(),
                    e.getMessage());
            return page(
                    response,
                    model,
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "This could not be written",
                    "The disk is full or cannot be written. What you sent now is NOT kept: write it down. Whoever runs"
                        + " Causticon makes room and starts it again. What was acknowledged before is on the disk.");
        }
        LOG.error("{} {}", request.getMethod(), request.getRequestURI(), e);
        return page(
                response,
                model,
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something broke on our side",
                "What was acknowledged before is kept. Go back: what you typed is still there.");
    }

    /** The database says so by its number, somewhere among the causes. */
    private static boolean cannotBeWritten(Throwable failure) {
        return Stream.iterate(failure, t -> t != null, Throwable::getCause)
                .limit(MOST_CAUSES)
                .anyMatch(t -> t instanceof SQLException sql && DISK.contains(sql.getErrorCode())
                        || t instanceof IOException
                                && String.valueOf(t.getMessage()).contains("No space left"));
    }

    /**
     * What Spring knows to be asked wrongly: a missing parameter, another method, a form of answer that there is none
     * of.
     */
    private static String asked(HttpStatusCode status, HttpServletResponse response, Model model) {
        return page(
                response,
                model,
                status,
                "That could not be read",
                "The address wants to be asked in another way, or something it needs is missing. " + NOTHING_CHANGED);
    }

    private static String page(
            HttpServletResponse response, Model model, HttpStatusCode status, String title, String words) {
        response.setStatus(status.value());
        model.addAttribute("title", title);
        model.addAttribute("words", words);
        model.addAttribute("lines", List.of());
        return "error/plain";
    }
}
