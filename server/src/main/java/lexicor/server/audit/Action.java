package lexicor.server.audit;

/** What somebody did. */
public enum Action { SAW, ENTERED, CHANGED, TOOK_OUT, SIGNED_IN, SIGNED_OUT, REFUSED }
