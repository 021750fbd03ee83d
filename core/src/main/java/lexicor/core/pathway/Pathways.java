package lexicor.core.pathway;

import java.util.List;
import java.util.Optional;

/** Every pathway, and the questions in the record that belong to them. */
public record Pathways(String revision, List<Pathway> all) {

    /** The question by which the record says which pathway is being followed. */
    public static final String FOLLOWED = "pathway";

    /** The kind of question that answers a step: {@code path:pathway.step}. */
    public static final String ANSWER = "path";

    public Pathways {
        all = List.copyOf(all);
    }

    public List<Pathway> of(String region) {
        return all.stream().filter(pathway -> pathway.region().equals(region)).toList();
    }

    public Optional<Pathway> find(String id) {
        return all.stream().filter(pathway -> pathway.id().equals(id)).findFirst();
    }

    /** What the record's question about a step is about. */
    public static String about(Pathway pathway, Step step) {
        return pathway.id() + "." + step.id();
    }

    /** The questions of a region's pathways, by what the record calls them, with the answers allowed. */
    public Optional<List<String>> answersTo(String region, String about) {
        return of(region).stream()
                .flatMap(pathway -> pathway.steps().stream()
                        .filter(Step.Ask.class::isInstance)
                        .map(Step.Ask.class::cast)
                        .filter(ask -> about(pathway, ask).equals(about)))
                .findFirst()
                .map(ask -> ask.answers().stream().map(Step.Answer::value).toList());
    }
}
