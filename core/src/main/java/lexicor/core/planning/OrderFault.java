package lexicor.core.planning;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;

/**
 * Something that speaks against an order.
 *
 * @param other the test that makes it so; the test itself where none does
 */
public record OrderFault(Kind kind, TestId test, TestId other) {

    /** What can be wrong with an order. */
    public enum Kind {
        /** It stands in the order twice. */
        TWICE,
        /** It is done because of what another shows, which comes later. */
        BEFORE_ITS_TRIGGER,
        /** It is done because of what another shows, which is not in the order and not done. */
        NEVER_REACHED,
        /** It measures what the other, which comes earlier, provokes. */
        SPOILED,
        /** Instability, or what is likely to hurt, comes before the other, which is gentler. */
        TOO_EARLY;

        /** Whether the test could not be done in its place at all. */
        public boolean unreachable() {
            return this == TWICE || this == BEFORE_ITS_TRIGGER || this == NEVER_REACHED;
        }
    }

    /**
     * Everything that speaks against an order, in its order.
     *
     * @param done tests that have an answer already
     */
    static List<OrderFault> of(Catalogue catalogue, String region, List<WorkItem> order, Collection<TestId> done) {
        List<TestId> measures = catalogue.routine(region).first();
        List<OrderFault> faults = new ArrayList<>();
        Set<TestId> before = new HashSet<>(done);
        List<TestId> all = order.stream().map(WorkItem::test).toList();
        for (int at = 0; at < order.size(); at++) {
            WorkItem item = order.get(at);
            TestId test = item.test();
            if (all.indexOf(test) < at) {
                faults.add(new OrderFault(Kind.TWICE, test, test));
                continue;
            }
            item.after().stream()
                    .filter(trigger -> !before.contains(trigger))
                    .sorted()
                    .forEach(trigger -> faults.add(new OrderFault(
                            all.contains(trigger) ? Kind.BEFORE_ITS_TRIGGER : Kind.NEVER_REACHED, test, trigger)));
            List<WorkItem> earlier = order.subList(0, at);
            List<WorkItem> later = order.subList(at + 1, order.size());
            if (measures.contains(test)) {
                earlier.stream()
                        .filter(each -> catalogue.test(each.test()).provocation() >= Purposes.PROVOKES)
                        .findFirst()
                        .ifPresent(each -> faults.add(new OrderFault(Kind.SPOILED, test, each.test())));
            }
            if (item.level() == WorkItems.LAST) {
                later.stream()
                        .filter(each ->
                                each.level() < WorkItems.LAST && !each.after().contains(test))
                        .findFirst()
                        .ifPresent(each -> faults.add(new OrderFault(Kind.TOO_EARLY, test, each.test())));
            }
            before.add(test);
        }
        return faults;
    }

    /** In words. */
    public String words(Catalogue catalogue) {
        String name = catalogue.test(test).shortName();
        String that = catalogue.test(other).shortName();
        return switch (kind) {
            case TWICE -> name + " is in twice.";
            case BEFORE_ITS_TRIGGER -> name + " comes before " + that + ", whose finding calls for it.";
            case NEVER_REACHED -> name + " is never reached: it follows on " + that + ", which is not in.";
            case SPOILED -> name + " comes after " + that + ", which would spoil it.";
            case TOO_EARLY -> name + " comes before " + that + ": what frightens or hurts goes last.";
        };
    }
}
