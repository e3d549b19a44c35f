package handoff

import (
	"cmp"
	"slices"

	"inktally/core/ladder"
	"inktally/core/plan"
	"inktally/core/recap"
	"inktally/core/standing"
)

// Owner is the plan as an owner needs it: what is told of the firm, firm by firm what the others have, and the work by
// task.
type Owner struct {
	*Walk
	// Firms are the rivals beside the home page, those first that stand highest.
	Firms []FirmTold
	// Work is what is done, task by task.
	Work []TaskWork
	// Jobs are the targets that fit into the hours, in the order of work.
	Jobs []*plan.Target
	// Minutes is the work of the whole plan.
	Minutes float64
	// Beyond are the fronts that no page changes in which a rival is ahead, with the best of them.
	Beyond []Beyond
}

// BesideJob is work of one kind that no page holds.
type BesideJob struct {
	Kind standing.Kind
	// Names are the directories, fields or sites that it is about, the first to do first; Count is how many there are,
	// of reviews how many are asked for.
	Names   []string
	Count   int
	Minutes float64
}

// FirmTold is a rival with its figures, and why it comes before the client.
type FirmTold struct {
	Firm
	Steps []ladder.Step
	// Reason is nil where it does not stand above the client.
	Reason *ladder.Reason
}

// Task is what the work of a plan is parted into for an owner.
type Task string

// The tasks.
const (
	Make     Task = "make"    // pages to make, and others that are redirected, split or written anew
	Write    Task = "write"   // words on pages that are there
	Place    Task = "place"   // phrases on them
	Name     Task = "name"    // their pictures
	PutRight Task = "right"   // what is wrong
	Besides  Task = "by_hand" // what the user added
)

// TaskWork is the work of one task.
type TaskWork struct {
	Task Task
	Jobs []Job
	// Targets counts the lines of the plan that it is made of.
	Targets       int
	Minutes, Gain float64
}

// Job is a piece of work as an owner hears of it: all that makes a page, all the words of one, or a single target.
type Job struct {
	Page    string
	Targets []*plan.Target
	Minutes float64
	// Words are those to write, Pictures those that get a name.
	Words, Pictures int
}

// Beyond is a front that no page changes.
type Beyond struct {
	Front ladder.Front
	Compared
}

// WorkOf returns the work of a plan, that of most gain first, and what is to be put right before it; what is dropped is
// none. All that a page to make asks for is one job, and so are the words of a page.
func WorkOf(targets []plan.Target) (out []TaskWork) {
	made := recap.Made(targets)
	for i := range targets {
		t := &targets[i]
		if t.Choice.State == plan.Dropped {
			continue
		}
		task := taskOf(t, made[t.Page])
		at := slices.IndexFunc(out, func(w TaskWork) bool { return w.Task == task })
		if at < 0 {
			out = append(out, TaskWork{Task: task})
			at = len(out) - 1
		}
		out[at].add(t, made[t.Page] || task == Write || task == Name)
	}
	slices.SortStableFunc(out, func(a, b TaskWork) int {
		return cmp.Or(cmp.Compare(last(a.Task), last(b.Task)), cmp.Compare(b.Gain, a.Gain))
	})
	return out
}

func taskOf(t *plan.Target, made bool) Task {
	switch {
	case t.Kind == plan.ByHand:
		return Besides
	case t.Kind == plan.Fix && !made:
		return PutRight
	case made || t.Kind.Front() == plan.PagesFront:
		return Make
	case t.Kind.Front() == plan.WordsFront:
		return Write
	case t.Kind.Front() == plan.ImagesFront:
		return Name
	}
	return Place
}

// last orders what is put right before all other work, and what the user added behind it.
func last(t Task) int { return map[Task]int{PutRight: -1, Besides: 1}[t] }

// add adds a target; those of a page are one job where they belong together.
func (w *TaskWork) add(t *plan.Target, together bool) {
	w.Targets++
	w.Minutes += t.Minutes
	w.Gain += t.Gain
	at := -1
	if together {
		at = slices.IndexFunc(w.Jobs, func(j Job) bool { return j.Page == t.Page })
	}
	if at < 0 {
		w.Jobs = append(w.Jobs, Job{Page: t.Page})
		at = len(w.Jobs) - 1
	}
	j := &w.Jobs[at]
	j.Targets = append(j.Targets, t)
	j.Minutes += t.Minutes
	j.Words += t.ToWrite()
	for i := range t.Parts {
		if p := &t.Parts[i]; p.Kind == plan.ImageName && p.Choice.State != plan.Dropped {
			j.Pictures++
		}
	}
}

// Known returns a figure of a rung's front: the client's or the rival's, false where it is not known.
func Known(steps []ladder.Step, f ladder.Front, own bool) (figure float64, known bool) {
	for _, s := range steps {
		if s.Front == f && own {
			return s.Own, s.OwnKnown
		}
		if s.Front == f {
			return s.Theirs, s.TheirsKnown
		}
	}
	return 0, false
}

// Told returns the fronts of which a figure of some firm is known, in the order of telling.
func (o *Owner) Told() (out []ladder.Front) {
	for _, f := range ladder.Explaining() {
		if slices.ContainsFunc(o.Firms, func(r FirmTold) bool {
			_, theirs := Known(r.Steps, f, false)
			_, own := Known(r.Steps, f, true)
			return theirs && own
		}) {
			out = append(out, f)
		}
	}
	return out
}
