package lexicor.core.catalogue;

/** The part of an examination to which a test belongs, in the order of the work. */
public enum Stage {
    LOOK("Look"),
    FEEL("Feel"),
    MOVE("Move"),
    STRENGTH("Strength"),
    SPECIAL("Special tests"),
    NERVE("Neck and nerve"),
    INSTABILITY("Instability");

    private final String title;

    Stage(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
