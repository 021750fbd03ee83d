package lexicor.server.fuzz;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Calls everything that the OpenAPI description names, with addresses, headers and bodies that are right, nearly right
 * and wholly wrong. The same seed makes the same calls.
 */
final class Fuzzer {

    private static final String[] PEOPLE = {"tarn", "fell", "gill", "brook", ""};
    private static final String[] TEXTS = {
        "",
        " ",
        "x",
        "sh-arc",
        "shoulder",
        "acj",
        "\u0000",
        "a\nb",
        "ä漢\uD83D\uDE00",
        "\uD800",
        "'; drop table command; --",
        "<script>",
        "../../etc/passwd",
        "${7*7}",
        "%s%n",
        "-1",
        "1e309",
        "NaN",
        "2026-02-30",
        "+999999999-12-31T23:59:59Z",
        "00000000-0000-0000-0000-000000000000",
        "x".repeat(5000)
    };
    private static final String[] RAW_VALUES = {
        "%",
        "%zz",
        "%FF%FE",
        "%00",
        "%C0%AF",
        "a%20b",
        "1",
        "0",
        "-1",
        "99999999999999999999",
        "1e5",
        "true",
        "",
        "x".repeat(300),
        "%F0%9F%98%80",
        "sh-arc",
        "shoulder",
        "a,b,,c",
        "group:0.5",
        ":"
    };
    private static final String[] TYPES = {
        "application/json",
        "application/json",
        "application/json",
        "application/json",
        "application/json;charset=UTF-8",
        "*/*",
        "text/plain",
        "application/x-www-form-urlencoded",
        "multipart/form-data; boundary=x",
        "multipart/form-data",
        "application/json;charset=nonsense",
        ";",
        "a/b/c",
        "application/*",
        "application/xml",
        "\"",
        ""
    };

    private static final List<String> SLOW = List.of(
            "/report",
            "/report.pdf",
            "/plan",
            "/plan/curve",
            "/plan/own",
            "/plan/again",
            "/weighing",
            "/weighing/{conditionId}",
            "/conclusion",
            "/note",
            "/recomputed",
            "/signature");

    private final RawHttp http;
    private final Random random;
    private final JsonNode description;
    private final List<String[]> operations = new ArrayList<>();
    private final Map<String, String> cookies = new LinkedHashMap<>();
    private final List<String> ids;

    /** @param ids of things that are there */
    Fuzzer(int port, long seed, List<String> ids) throws IOException {
        this.http = new RawHttp(port);
        this.random = new Random(seed);
        this.ids = ids;
        this.description =
                JsonMapper.shared().readTree(plain("GET", "/v3/api-docs", "").body());
        description.get("paths").properties().stream()
                .filter(path -> !path.getKey().equals("/api/events"))
                .forEach(path -> path.getValue()
                        .propertyNames()
                        .forEach(method -> operations.add(
                                new String[] {method.toUpperCase(java.util.Locale.ROOT), path.getKey()})));
    }

    /** A call, and what was answered. */
    record Call(String request, RawHttp.Reply reply) {}

    Call next() throws IOException {
        if (random.nextInt(60) == 0) {
            beSomebody();
        }
        byte[] request = request();
        RawHttp.Reply reply = http.send(request);
        takeCookies(reply);
        return new Call(new String(request, StandardCharsets.ISO_8859_1), reply);
    }

    private void beSomebody() throws IOException {
        cookies.clear();
        takeCookies(plain("GET", "/api/session", ""));
        String name = pick(PEOPLE);
        if (!name.isEmpty()) {
            takeCookies(plain("POST", "/api/session", "{\"name\":\"" + name + "\",\"password\":\"demo-clinic-only\"}"));
        }
    }

    private RawHttp.Reply plain(String method, String path, String body) throws IOException {
        return http.send(assemble(method, path, "application/json", body.getBytes(StandardCharsets.UTF_8), true));
    }

    private void takeCookies(RawHttp.Reply reply) {
        for (String cookie : reply.setCookies().split("\n")) {
            if (cookie.contains("=")) {
                cookies.put(cookie.substring(0, cookie.indexOf('=')), cookie.substring(cookie.indexOf('=') + 1));
            }
        }
    }

    private byte[] request() {
        String[] operation = pick(operations);
        if (SLOW.stream().anyMatch(operation[1]::endsWith) && random.nextInt(12) > 0) {
            operation = pick(operations); // what computes much is called less often
        }
        JsonNode described =
                description.at("/paths").get(operation[1]).get(operation[0].toLowerCase(java.util.Locale.ROOT));
        String method = random.nextInt(40) == 0
                ? pick(new String[] {"PUT", "PATCH", "DELETE", "TRACE", "OPTIONS", "HEAD", "FOO", "GET", "POST"})
                : operation[0];
        boolean signsOut = method.equals("DELETE") && random.nextInt(10) > 0;
        return assemble(
                signsOut ? "GET" : method,
                path(operation[1]) + query(described),
                random.nextInt(8) == 0 ? pick(TYPES) : "application/json",
                body(described),
                random.nextInt(12) > 0);
    }

    private String path(String pattern) {
        StringBuilder path = new StringBuilder();
        for (String step : pattern.substring(1).split("/")) {
            path.append('/').append(step.startsWith("{") ? value(step) : step);
        }
        return random.nextInt(60) == 0
                ? path + pick(new String[] {"/", "//", "/..", ";x=y", "%2e%2e", "%00", "\\", "/./"})
                : path.toString();
    }

    private String value(String name) {
        return switch (random.nextInt(8)) {
            case 0 ->
                UUID.nameUUIDFromBytes(new byte[] {(byte) random.nextInt(256)}).toString();
            case 1 -> encoded(pick(TEXTS));
            case 2 -> pick(RAW_VALUES);
            case 3 -> name.equals("{region}") ? "wrist" : "sh-arc";
            default ->
                name.equals("{id}")
                        ? pick(ids)
                        : pick(new String[] {
                            "shoulder",
                            "sh-arc",
                            "subacromial-pain",
                            "1",
                            "force-unit",
                            "cl-subacromial-5",
                            "threshold.test"
                        });
        };
    }

    private String query(JsonNode described) {
        if (described == null || random.nextInt(3) == 0) {
            return random.nextInt(30) == 0
                    ? "?" + pick(new String[] {"=", "&&&", "%", "%zz=1", "a=%FF", "=x", "?", "a=b=c&a"})
                    : "";
        }
        List<String> parts = new ArrayList<>();
        for (JsonNode parameter : described.path("parameters")) {
            if (parameter.path("in").asString("").equals("query") && random.nextInt(3) > 0) {
                for (int times = random.nextInt(20) == 0 ? 3 : 1; times > 0; times--) {
                    parts.add(parameter.get("name").asString() + "="
                            + (random.nextBoolean() ? pick(RAW_VALUES) : encoded(pick(TEXTS))));
                }
            }
        }
        if (random.nextInt(25) == 0) {
            parts.add(pick(new String[] {"=", "", "%", "a[]=1", "%E0%A4%A=x", "x=%u0041"}));
        }
        return parts.isEmpty() ? "" : "?" + String.join("&", parts);
    }

    private byte[] body(JsonNode described) {
        JsonNode schema = described == null ? null : described.at("/requestBody/content/application~1json/schema");
        if (schema == null || schema.isMissingNode()) {
            return random.nextInt(20) == 0 ? noise() : new byte[0];
        }
        if (random.nextInt(15) == 0) {
            return noise();
        }
        String text = JsonMapper.shared().writeValueAsString(made(schema, 0));
        if (random.nextInt(15) == 0 && !text.isEmpty()) {
            int at = random.nextInt(text.length());
            text = text.substring(0, at)
                    + pick(new String[] {"", "}", "\"", ",", "null", "1e999", "[[", "//", "\\u12"})
                    + text.substring(Math.min(text.length(), at + random.nextInt(3)));
        }
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private byte[] noise() {
        byte[] bytes = new byte[random.nextInt(200)];
        random.nextBytes(bytes);
        return switch (random.nextInt(6)) {
            case 0 -> bytes;
            case 1 -> ("[".repeat(3000)).getBytes(StandardCharsets.US_ASCII);
            case 2 -> "null".getBytes(StandardCharsets.US_ASCII);
            case 3 -> "{\"a\":{\"a\":{\"a\":[]}}}".getBytes(StandardCharsets.US_ASCII);
            case 4 -> "a=%FF&b=%zz&=x".getBytes(StandardCharsets.US_ASCII);
            default -> "".getBytes(StandardCharsets.US_ASCII);
        };
    }

    private JsonNode made(JsonNode described, int depth) {
        JsonNode schema = described.has("$ref")
                ? description.at(described.get("$ref").asString().substring(1))
                : described;
        if (random.nextInt(25) == 0) {
            return odd();
        }
        if (schema.has("enum")) {
            return random.nextInt(10) == 0
                    ? JsonNodeFactory.instance.stringNode("SIDEWAYS")
                    : schema.get("enum").get(random.nextInt(schema.get("enum").size()));
        }
        JsonNode kind = schema.path("type");
        String type = kind.isArray() ? kind.get(0).asString() : kind.asString("object");
        return switch (type) {
            case "array" -> list(schema, depth);
            case "string" -> text(schema.path("format").asString(""));
            case "integer" -> JsonNodeFactory.instance.numberNode(pickLong());
            case "number" -> JsonNodeFactory.instance.numberNode(pickDouble());
            case "boolean" -> JsonNodeFactory.instance.booleanNode(random.nextBoolean());
            default -> object(schema, depth);
        };
    }

    private JsonNode list(JsonNode schema, int depth) {
        ArrayNode list = JsonNodeFactory.instance.arrayNode();
        for (int size = random.nextInt(40) == 0 ? 70 : random.nextInt(4); size > 0 && depth < 6; size--) {
            list.add(made(schema.path("items"), depth + 1));
        }
        return list;
    }

    private JsonNode object(JsonNode schema, int depth) {
        ObjectNode made = JsonNodeFactory.instance.objectNode();
        for (Map.Entry<String, JsonNode> property : schema.path("properties").properties()) {
            if (random.nextInt(12) > 0 && depth < 8) {
                made.set(property.getKey(), made(property.getValue(), depth + 1));
            }
        }
        if (random.nextInt(20) == 0) {
            made.put(pick(TEXTS), 1);
        }
        return made;
    }

    private JsonNode text(String format) {
        return JsonNodeFactory.instance.stringNode(
                switch (random.nextInt(10)) {
                    case 0, 1 -> pick(TEXTS);
                    case 2 -> pick(ids);
                    default ->
                        switch (format) {
                            case "uuid" ->
                                UUID.nameUUIDFromBytes(
                                                new byte[] {(byte) random.nextInt(256), (byte) random.nextInt(256)})
                                        .toString();
                            case "date-time" ->
                                random.nextInt(4) == 0
                                        ? "2020-01-01T00:00:00Z"
                                        : java.time.Instant.now().toString();
                            case "date" -> "2026-01-0" + (1 + random.nextInt(9));
                            default ->
                                pick(new String[] {
                                    "sh-arc",
                                    "sh-neer",
                                    "pain",
                                    "familiar",
                                    "none",
                                    "shoulder",
                                    "red-flags",
                                    "usual",
                                    "working",
                                    "open",
                                    "°",
                                    "onset",
                                    "override:sh-arc",
                                    "words enough",
                                    "FZ-" + random.nextInt(10_000)
                                });
                        };
                });
    }

    private JsonNode odd() {
        return switch (random.nextInt(6)) {
            case 0 -> JsonNodeFactory.instance.nullNode();
            case 1 -> JsonNodeFactory.instance.stringNode(pick(TEXTS));
            case 2 -> JsonNodeFactory.instance.numberNode(pickDouble());
            case 3 -> JsonNodeFactory.instance.arrayNode();
            case 4 -> JsonNodeFactory.instance.objectNode();
            default -> JsonNodeFactory.instance.booleanNode(true);
        };
    }

    private long pickLong() {
        return pick(new Long[] {
            0L,
            1L,
            2L,
            3L,
            7L,
            20L,
            -1L,
            100L,
            1000L,
            1_000_000L,
            Long.MAX_VALUE,
            Long.MIN_VALUE,
            (long) random.nextInt(300)
        });
    }

    private double pickDouble() {
        return pick(new Double[] {0.0, 1.0, 0.5, 0.05, -1.0, 1e308, 1e-308, 0.9999999999, 95.5, random.nextDouble()});
    }

    private byte[] assemble(String method, String target, String type, byte[] body, boolean token) {
        StringBuilder head = new StringBuilder(method)
                .append(' ')
                .append(target.replace(' ', '+').replace('\n', '+').replace('\u0000', '+'))
                .append(" HTTP/1.1\r\nHost: localhost\r\n");
        if (!type.isEmpty()) {
            head.append("Content-Type: ").append(type).append("\r\n");
        }
        if (random.nextInt(20) == 0) {
            head.append("Accept: ")
                    .append(pick(new String[] {"text/xml", "*/*;q=x", "application/pdf", ";;", "image/*"}))
                    .append("\r\n");
        }
        if (!cookies.isEmpty()) {
            head.append("Cookie: ");
            cookies.forEach(
                    (name, value) -> head.append(name).append('=').append(value).append("; "));
            head.append("\r\n");
        }
        if (token && cookies.containsKey("XSRF-TOKEN")) {
            head.append("X-XSRF-TOKEN: ").append(cookies.get("XSRF-TOKEN")).append("\r\n");
        }
        head.append("Content-Length: ").append(body.length).append("\r\n\r\n");
        ByteArrayOutputStream request = new ByteArrayOutputStream();
        request.writeBytes(head.toString().getBytes(StandardCharsets.ISO_8859_1));
        request.writeBytes(body);
        return request.toByteArray();
    }

    private static String encoded(String text) {
        return java.net.URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private <T> T pick(T[] of) {
        return of[random.nextInt(of.length)];
    }

    private <T> T pick(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }
}
