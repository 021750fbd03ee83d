package lexicor.server.problems;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Writes problem+json where no controller is reached. */
public final class PlainProblem {

    private PlainProblem() {}

    /** @param field what is at fault; empty where it is no field */
    public static void write(HttpServletResponse response, HttpStatus status, String field, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        ObjectNode problem = JsonMapper.shared()
                .createObjectNode()
                .put("status", status.value())
                .put("title", status.getReasonPhrase())
                .put("detail", detail);
        if (!field.isEmpty()) {
            problem.put("field", field);
        }
        response.getWriter().write(problem.toString());
    }
}
