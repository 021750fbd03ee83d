package lexicor.server.notes;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;
import com.samskivert.mustache.Template;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The layout of a note: text with the names of {@link NoteBlock}s in braces. A passage between {@code {{#name}}} and
 * {@code {{/name}}} stands only where the block has something to say.
 */
public final class NoteTemplate {

    /** The most characters of a template. */
    public static final int MOST = 4000;

    private static final Mustache.Compiler COMPILER =
            Mustache.compiler().escapeHTML(false).emptyStringIsFalse(true).defaultValue("");

    private final Template template;

    private NoteTemplate(Template template) {
        this.template = template;
    }

    /**
     * A template of a text.
     *
     * @throws IllegalArgumentException with what is wrong and what is allowed, as {@link #fault} says
     */
    public static NoteTemplate of(String text) {
        fault(text).ifPresent(fault -> {
            throw new IllegalArgumentException(fault);
        });
        return new NoteTemplate(COMPILER.compile(text));
    }

    /** What is wrong with a text as a template, with the line; empty where it is one. */
    public static Optional<String> fault(String text) {
        if (text.isBlank() || text.length() > MOST) {
            return Optional.of("allowed: 1 to " + MOST + " characters of text, it has " + text.length());
        }
        Template compiled;
        try {
            compiled = COMPILER.compile(text);
        } catch (MustacheException fault) {
            return Optional.of(
                    fault.getMessage() + "; allowed: names in double braces, each {{#name}} closed by {{/name}}");
        }
        Optional<String> unknown = names(compiled, true).stream()
                .filter(name -> NoteBlock.of(name).isEmpty())
                .findFirst();
        if (unknown.isPresent()) {
            return Optional.of("line " + line(text, unknown.get()) + ": '" + unknown.get() + "' is no name; allowed: "
                    + Arrays.stream(NoteBlock.values()).map(NoteBlock::id).collect(Collectors.joining(", ")));
        }
        Set<String> always = names(compiled, false);
        return always.contains(NoteBlock.CAUTION.id()) || always.contains(NoteBlock.EVERYDAY_CAUTION.id())
                ? Optional.empty()
                : Optional.of(
                        "{{caution}} is missing; allowed: a note that says what its figures are worth, by {{caution}} or"
                                + " {{everyday-caution}}, outside every passage that may be left out");
    }

    private static int line(String text, String name) {
        int at = text.indexOf(name);
        return at < 0
                ? 1
                : (int) text.substring(0, at)
                                .chars()
                                .filter(each -> each == '\n')
                                .count()
                        + 1;
    }

    /** The note. Blocks that are absent say nothing; never more than one empty line in a row. */
    public String render(Map<NoteBlock, String> blocks) {
        Map<String, String> named = new LinkedHashMap<>();
        for (NoteBlock block : NoteBlock.values()) {
            named.put(block.id(), blocks.getOrDefault(block, ""));
        }
        return template.execute(named).replaceAll("\n{3,}", "\n\n").strip() + "\n";
    }

    /** The note of an invented examination. */
    public String example() {
        return render(Arrays.stream(NoteBlock.values()).collect(Collectors.toMap(block -> block, NoteBlock::example)));
    }

    private static Set<String> names(Template template, boolean within) {
        Names names = new Names(within);
        template.visit(names);
        return names.found;
    }

    /** The names that a template uses, within passages too or outside them only. */
    private static final class Names implements Mustache.Visitor {

        private final boolean within;
        private final Set<String> found = new LinkedHashSet<>();

        private Names(boolean within) {
            this.within = within;
        }

        @Override
        public void visitText(String text) {
            // text names nothing
        }

        @Override
        public void visitVariable(String name) {
            found.add(name);
        }

        @Override
        public boolean visitInclude(String name) {
            found.add(">" + name);
            return false;
        }

        @Override
        public boolean visitSection(String name) {
            if (within) {
                found.add(name);
            }
            return within;
        }

        @Override
        public boolean visitInvertedSection(String name) {
            return visitSection(name);
        }
    }
}
