# frozen_string_literal: true

require "que"

module Store
  # The queue of tasks, in the database: whoever works one holds a lock that goes with its connection, so that what a
  # process had in hand when it was killed is taken up again by another.
  module Queue
    # Threads of one process that work tasks, and seconds between two looks where no word of a new one came.
    WORKERS = 1
    LOOK = 1

    module_function

    # @param workers [Hash{String => #call}, nil] what works the tasks of a kind
    def prepare(workers: nil)
      Que.connection = ActiveRecord
      Que.logger = Logger.new(File::NULL)
      Task.workers = workers if workers
    end

    # Works tasks until it is stopped.
    #
    # @return [Que::Locker] with +stop!+, which waits for what is in hand
    def work = Que::Locker.new(poll_interval: LOOK, wait_period: 50, worker_priorities: [nil] * WORKERS)
  end
end
