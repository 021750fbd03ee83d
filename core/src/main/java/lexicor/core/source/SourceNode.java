package lexicor.core.source;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;
import org.snakeyaml.engine.v2.nodes.SequenceNode;

/**
 * A place in a YAML content file. Reads typed fields and, whatever is wrong, throws a {@link SourceException} with the
 * file, the line, the field and what is allowed. Never returns null.
 */
public final class SourceNode {

    /** A file of landmarks shares one card and one list of parts among many tests. */
    private static final int MOST_ALIASES = 500;

    private final String file;
    private final Node node;

    private SourceNode(String file, Node node) {
        this.file = file;
        this.node = node;
    }

    /** Reads one YAML document. {@code file} is the name used in messages. */
    public static SourceNode parse(String file, String yaml) {
        LoadSettings settings = LoadSettings.builder()
                .setLabel(file)
                .setUseMarks(true)
                .setMaxAliasesForCollections(MOST_ALIASES)
                .build();
        try {
            Node root = new Compose(settings)
                    .composeReader(new StringReader(yaml))
                    .orElseThrow(() -> new SourceException(file, 1, "the file is empty"));
            return new SourceNode(file, root);
        } catch (MarkedYamlEngineException fault) {
            int line = fault.getProblemMark().map(mark -> mark.getLine() + 1).orElse(1);
            throw new SourceException(file, line, "not readable as YAML: " + fault.getProblem());
        }
    }

    /** The whole text of a resource on the class path, as UTF-8. */
    public static String resourceText(String path) {
        try (InputStream stream = SourceNode.class.getResourceAsStream(path)) {
            if (stream == null) {
                throw new SourceException(path, 1, "there is no such file");
            }
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    /** Short name of everything that stands here: the same as long as no word or order of it changes. */
    public String fingerprint() {
        List<String> texts = new ArrayList<>();
        gather(node, texts);
        return Fingerprint.of(texts);
    }

    private static void gather(Node node, List<String> texts) {
        if (node instanceof ScalarNode scalar) {
            texts.add(scalar.getValue());
        } else if (node instanceof SequenceNode sequence) {
            texts.add("[");
            sequence.getValue().forEach(each -> gather(each, texts));
            texts.add("]");
        } else if (node instanceof MappingNode mapping) {
            texts.add("{");
            for (NodeTuple tuple : mapping.getValue()) {
                gather(tuple.getKeyNode(), texts);
                gather(tuple.getValueNode(), texts);
            }
            texts.add("}");
        }
    }

    public String file() {
        return file;
    }

    public int line() {
        return node.getStartMark().map(Mark::getLine).orElse(0) + 1;
    }

    /** For checks that come later. */
    public Place place() {
        return new Place(file, line());
    }

    /** A fault at this place; throw the result. */
    public SourceException fault(@Nullable String message) {
        return new SourceException(file, line(), message);
    }

    /** Refuses fields other than these, so that a misspelt field is found at once. */
    public SourceNode allowing(String... allowed) {
        Set<String> known = Set.of(allowed);
        for (Map.Entry<String, SourceNode> field : fields().entrySet()) {
            if (!known.contains(field.getKey())) {
                throw field.getValue()
                        .fault("field '" + field.getKey() + "' is not known here; allowed: "
                                + String.join(
                                        ", ", Arrays.stream(allowed).sorted().toList()));
            }
        }
        return this;
    }

    /** The fields of a mapping in the order of the file. */
    public Map<String, SourceNode> fields() {
        if (!(node instanceof MappingNode mapping)) {
            throw fault("a group of fields is expected here");
        }
        Map<String, SourceNode> fields = new LinkedHashMap<>();
        for (NodeTuple tuple : mapping.getValue()) {
            SourceNode key = new SourceNode(file, tuple.getKeyNode());
            if (fields.put(key.asText(), new SourceNode(file, tuple.getValueNode())) != null) {
                throw key.fault("field '" + key.asText() + "' stands here twice");
            }
        }
        return fields;
    }

    /** The place of a field's own name. */
    public SourceNode keyNode(String field) {
        if (node instanceof MappingNode mapping) {
            for (NodeTuple tuple : mapping.getValue()) {
                SourceNode key = new SourceNode(file, tuple.getKeyNode());
                if (key.asText().equals(field)) {
                    return key;
                }
            }
        }
        throw fault("field '" + field + "' is missing");
    }

    /** Whether a list stands here. */
    public boolean isList() {
        return node instanceof SequenceNode;
    }

    /** Whether a plain text stands here, not a group of fields or a list. */
    public boolean isText() {
        return node instanceof ScalarNode;
    }

    public boolean has(String field) {
        return fields().containsKey(field);
    }

    public SourceNode child(String field) {
        SourceNode child = fields().get(field);
        if (child == null) {
            throw fault("field '" + field + "' is missing");
        }
        return child;
    }

    public Optional<SourceNode> optionalChild(String field) {
        return Optional.ofNullable(fields().get(field));
    }

    /** The members of a list field; an absent field is an empty list. */
    public List<SourceNode> list(String field) {
        return optionalChild(field).map(SourceNode::items).orElse(List.of());
    }

    public List<SourceNode> items() {
        if (!(node instanceof SequenceNode sequence)) {
            throw fault("a list is expected here");
        }
        List<SourceNode> items = new ArrayList<>();
        for (Node item : sequence.getValue()) {
            items.add(new SourceNode(file, item));
        }
        return List.copyOf(items);
    }

    public String text(String field) {
        return child(field).asText();
    }

    /** The text of a field, or {@code otherwise} where the field is absent. */
    public String text(String field, String otherwise) {
        return optionalChild(field).map(SourceNode::asText).orElse(otherwise);
    }

    public List<String> texts(String field) {
        return list(field).stream().map(SourceNode::asText).toList();
    }

    public String asText() {
        if (!(node instanceof ScalarNode scalar) || scalar.getValue().isBlank()) {
            throw fault("a text is expected here");
        }
        return scalar.getValue().strip();
    }

    /** A number within [least, most]. */
    public double number(String field, double least, double most) {
        return child(field).asNumber("field '" + field + "'", least, most);
    }

    /** This text as a number; {@code what} names it in the fault. */
    public double asNumber(String what, double least, double most) {
        double value;
        try {
            value = Double.parseDouble(asText());
        } catch (NumberFormatException notANumber) {
            throw fault(what + " is '" + asText() + "'; allowed: a number from " + least + " to " + most);
        }
        if (!(value >= least && value <= most)) {
            throw fault(what + " is " + value + "; allowed: " + least + " to " + most);
        }
        return value;
    }

    /** A whole number within [least, most]. */
    public int whole(String field, int least, int most) {
        double value = number(field, least, most);
        if (value != Math.rint(value)) {
            throw child(field).fault("field '" + field + "' is " + value + "; allowed: a whole number");
        }
        return (int) value;
    }

    /** One of a closed set, written in lower case with hyphens. */
    public <E extends Enum<E>> E oneOf(String field, Class<E> kind) {
        return child(field).asOneOf(kind);
    }

    public <E extends Enum<E>> E asOneOf(Class<E> kind) {
        List<String> names = new ArrayList<>();
        for (E constant : kind.getEnumConstants()) {
            String name = constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
            if (name.equals(asText())) {
                return constant;
            }
            names.add(name);
        }
        throw fault("'" + asText() + "' is not known here; allowed: " + String.join(", ", names));
    }
}
