package render

import (
	"context"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/shirou/gopsutil/v4/process"
)

// MaxMemory is what the browser may take in all its processes together.
const MaxMemory = 1200 << 20

// glance is how often that is looked at while pages are rendered.
const glance = 200 * time.Millisecond

// watch ends what takes the most memory when all of it is too much, as long as a browser of
// this machine runs: the tab, or the whole browser if it is no tab.
func (b *Browser) watch(running context.Context) {
	own := chromedp.FromContext(running).Browser.Process()
	if own == nil {
		return // it runs elsewhere
	}
	tick := time.NewTicker(glance)
	defer tick.Stop()
	for {
		select {
		case <-running.Done():
			return
		case <-tick.C:
		}
		if b.idle() {
			continue
		}
		all, largest := memory(int32(own.Pid))
		if all <= MaxMemory || largest == nil {
			continue
		}
		b.crowded()
		if int(largest.Pid) == own.Pid {
			b.failAll()
		}
		_ = largest.Kill()
		for range 5 { // what it took comes back in a while, and nobody else is to blame until then
			if up, err := largest.IsRunning(); err != nil || !up {
				break
			}
			<-tick.C
		}
	}
}

// memory returns what a process and all below it take, and the one that takes the most.
func memory(pid int32) (all uint64, largest *process.Process) {
	list, most := tree(pid), uint64(0)
	for _, p := range list {
		takes, err := held(p)
		if err != nil {
			continue // it has ended
		}
		all += takes
		if takes > most {
			most, largest = takes, p
		}
	}
	return all, largest
}

// tree returns a process with all below it.
func tree(pid int32) []*process.Process {
	own, err := process.NewProcess(pid)
	if err != nil {
		return nil
	}
	list := []*process.Process{own}
	for i := 0; i < len(list); i++ {
		if below, err := list[i].Children(); err == nil {
			list = append(list, below...)
		}
	}
	return list
}

// idle reports whether no page is being rendered.
func (b *Browser) idle() bool {
	b.visiting.Lock()
	defer b.visiting.Unlock()
	return len(b.visits) == 0
}

// enter and leave tell which pages are being rendered.
func (b *Browser) enter(v *visit) {
	b.visiting.Lock()
	defer b.visiting.Unlock()
	b.visits[v] = true
	b.began.pages++
}

func (b *Browser) leave(v *visit) {
	b.visiting.Lock()
	defer b.visiting.Unlock()
	delete(b.visits, v)
}

// crowded returns all pages that are being rendered that they are not alone, where they are not: it
// is not known which of them takes the memory.
func (b *Browser) crowded() {
	b.visiting.Lock()
	defer b.visiting.Unlock()
	for v := range b.visits {
		if len(b.visits) > 1 {
			v.crowded.Store(true)
		}
	}
}

// failAll returns all pages that are being rendered that there is no memory for them.
func (b *Browser) failAll() {
	b.visiting.Lock()
	defer b.visiting.Unlock()
	for v := range b.visits {
		v.end(RenderMemory.New(v.host()))
	}
}
