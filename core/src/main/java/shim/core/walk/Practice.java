package shim.core.walk;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A walk on invented work where things go wrong. A person's moves, acts and answers, are followed
 * from the beginning; nothing is kept anywhere.
 *
 * @param walk as the moves left it
 * @param now what has just gone wrong and wants an answer; null while nothing has
 * @param last what the last answer was worth; null after anything else
 * @param refused why the last act was refused; null when it was not
 */
public record Practice<S>(
    Walk<S> walk,
    @Nullable Surprise now,
    @Nullable Choice last,
    @Nullable String refused,
    int right,
    int wrong) {

  /** What is practised, and what goes wrong in it. */
  public record Course<S>(Procedure<S> procedure, List<Surprise> surprises) {
    public Course {
      surprises = List.copyOf(surprises);
    }
  }

  /** A way to answer, whether it is right, and why. */
  public record Choice(String words, boolean right, String why) {}

  /**
   * Something that goes wrong.
   *
   * @param at step that is next when it happens
   * @param follows what the right answer does to the walk
   */
  public record Surprise(
      String id, String at, String happens, List<Choice> choices, List<Done> follows) {}

  /** An act, or an answer to a surprise by its place among the choices. */
  public record Move(@Nullable Done done, @Nullable String surprise, int choice) {}

  /** Where a list of moves has led. */
  public static <S> Practice<S> of(Course<S> course, List<Move> moves) {
    Trainer<S> t = new Trainer<>(course);
    moves.forEach(t::move);
    return t.practice();
  }

  /** Follows moves one by one. */
  private static final class Trainer<S> {
    private final Course<S> course;
    private final Set<String> answered = new LinkedHashSet<>();
    private Walk<S> walk;
    private @Nullable Choice last;
    private @Nullable String refused;
    private int right;
    private int wrong;

    Trainer(Course<S> course) {
      this.course = course;
      this.walk = Walk.begin(course.procedure());
    }

    Practice<S> practice() {
      return new Practice<>(walk, now().orElse(null), last, refused, right, wrong);
    }

    private Optional<Surprise> now() {
      String next = walk.next().map(Step::id).orElse("");
      return course.surprises().stream()
          .filter(s -> s.at().equals(next) && !answered.contains(s.id()))
          .findFirst();
    }

    void move(Move m) {
      last = null;
      refused = null;
      if (m.done() != null) {
        act(m.done());
      } else {
        now().filter(s -> s.id().equals(m.surprise())).ifPresent(s -> answer(s, m.choice()));
      }
    }

    private void act(Done done) {
      refused =
          now()
              .map(s -> "see to this first: " + s.happens())
              .or(() -> walk.refuses(done))
              .orElse(null);
      if (refused == null) {
        walk = walk.after(done);
      } else {
        wrong++;
      }
    }

    private void answer(Surprise s, int choice) {
      if (choice < 0 || choice >= s.choices().size()) {
        return;
      }
      last = s.choices().get(choice);
      if (!last.right()) {
        wrong++;
        return;
      }
      right++;
      answered.add(s.id());
      s.follows().forEach(d -> walk = walk.after(d));
    }
  }
}
