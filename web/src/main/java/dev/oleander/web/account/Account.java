package dev.oleander.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Arrays;
import java.util.stream.Collectors;

/** A person who signs in. Never removed: what people did keeps their names. */
@Entity
public class Account {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String username;
    private String fullName;
    private String passwordHash;

    @Enumerated(EnumType.STRING)
    private Role role;

    /** made for the demo; may sign in only in demo mode */
    private boolean demo;

    private Instant createdAt;
    private Instant closedAt;
    private boolean mustChange;
    private Instant lastSignIn;

    protected Account() {}

    public Account(
            String username,
            String fullName,
            String passwordHash,
            Role role,
            boolean demo,
            Instant createdAt) {
        this.username = username;
        this.fullName = fullName;
        this.passwordHash = passwordHash;
        this.role = role;
        this.demo = demo;
        this.createdAt = createdAt;
    }

    public Long id() {
        return id;
    }

    public String username() {
        return username;
    }

    public String fullName() {
        return fullName;
    }

    String passwordHash() {
        return passwordHash;
    }

    public Role role() {
        return role;
    }

    public boolean isDemo() {
        return demo;
    }

    /** Whether the person has to choose a password before anything else. */
    public boolean mustChange() {
        return mustChange;
    }

    /** Null: never. */
    public Instant lastSignIn() {
        return lastSignIn;
    }

    public boolean isClosed() {
        return closedAt != null;
    }

    void signedIn(Instant at) {
        lastSignIn = at;
    }

    void become(String newName, Role newRole) {
        fullName = newName;
        role = newRole;
    }

    /**
     * @param byOther somebody else chose it, and knows it
     */
    void password(String hash, boolean byOther) {
        passwordHash = hash;
        mustChange = byOther;
    }

    void close(Instant at) {
        closedAt = at;
    }

    void reopen() {
        closedAt = null;
    }

    /** First letters of the names, two at most. */
    public String initials() {
        return Arrays.stream(fullName.split("\\s+"))
                .filter(n -> !n.isEmpty())
                .limit(2)
                .map(n -> n.substring(0, 1))
                .collect(Collectors.joining());
    }
}
