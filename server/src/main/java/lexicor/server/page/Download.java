package lexicor.server.page;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Answers that a browser keeps as a file. */
public final class Download {

    private Download() {}

    /**
     * A text in UTF-8.
     *
     * @param kind such as csv
     * @param name of the file
     */
    public static ResponseEntity<String> text(String kind, String name, String text) {
        return named(name)
                .contentType(new MediaType("text", kind, StandardCharsets.UTF_8))
                .body(text);
    }

    /** An answer to which type and body are to be added. Signs that not every system takes in a name become lines. */
    public static ResponseEntity.BodyBuilder named(String name) {
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, disposition(name));
    }

    /** The same name for an answer that is written bit by bit: the value of its {@code Content-Disposition}. */
    public static String disposition(String name) {
        return ContentDisposition.attachment()
                .filename(name.replaceAll("[^A-Za-z0-9 .-]", "-"))
                .build()
                .toString();
    }
}
