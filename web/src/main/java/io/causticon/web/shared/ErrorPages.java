package io.causticon.web.shared;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Tells what went wrong in the maker's words; the details go to the log. */
@ControllerAdvice
class ErrorPages {

    private static final Logger LOG = LoggerFactory.getLogger(ErrorPages.class);

    @ExceptionHandler({
        NotFoundException.class,
        NoResourceFoundException.class,
        MethodArgumentTypeMismatchException.class,
        HttpRequestMethodNotSupportedException.class
    })
    String notFound(HttpServletResponse response, Model model) {
        return page(response, model, HttpStatus.NOT_FOUND, "There is nothing here",
                "The page or the batch is not there, or the address is mistyped. Nothing was lost.");
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    String tooLarge(HttpServletResponse response, Model model) {
        return page(response, model, HttpStatus.CONTENT_TOO_LARGE, "That is too large",
                "A picture may have 12 MB, a form 256 kB. Nothing was changed; go back and what you typed is still there.");
    }

    /** Whoever watched a bench has left: nothing to tell, nobody to tell it to. */
    @ExceptionHandler({AsyncRequestNotUsableException.class, AsyncRequestTimeoutException.class})
    void left() {
        // The connection is gone.
    }

    @ExceptionHandler(Exception.class)
    String failed(Exception e, HttpServletRequest request, HttpServletResponse response, Model model) {
        LOG.error("{} {}", request.getMethod(), request.getRequestURI(), e);
        return page(response, model, HttpStatus.INTERNAL_SERVER_ERROR, "Something broke on our side",
                "What was acknowledged before is kept. Go back: what you typed is still there.");
    }

    private static String page(
            HttpServletResponse response, Model model, HttpStatus status, String title, String words) {
        response.setStatus(status.value());
        model.addAttribute("title", title);
        model.addAttribute("words", words);
        return "error/plain";
    }
}
