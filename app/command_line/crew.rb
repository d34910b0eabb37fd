# frozen_string_literal: true

module CommandLine
  # The process beside the one that serves, which works the tasks of the queue, so that no page waits for them. It is made
  # again when it is gone, and goes with the process that made it.
  class Crew
    # Seconds between two looks at the other, and those that a task in hand is given when all is to end.
    LOOK = 0.3
    GRACE = 5

    def begin
      @parent = Process.pid
      make
      @thread = Thread.new { replace while sleep(LOOK) }
    end

    def end
      @thread&.kill&.join
      return unless @child

      Process.kill(:TERM, @child)
      ends = now + GRACE
      sleep(0.05) until gone? || now > ends
      Process.kill(:KILL, @child).then { Process.wait(@child) } unless gone?
    rescue Errno::ESRCH, Errno::ECHILD
      nil
    end

    private

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def make
      @gone = false
      @child = fork { work }
    end

    def replace
      make if gone?
    end

    def gone? = @gone ||= !Process.wait(@child, Process::WNOHANG).nil?

    # In the other process: until it is told to stop, or the one that made it is no longer there.
    def work
      stop = false
      Signal.trap(:INT) { nil }
      Signal.trap(:TERM) { stop = true }
      Process.setproctitle("basalt work")
      locker = Store::Queue.work
      sleep(LOOK) until stop || Process.ppid != @parent
      Thread.new { locker.stop! }.join(GRACE - 1)
    ensure
      exit!(0)
    end
  end
end
