# frozen_string_literal: true

module Store
  # Something that takes longer than anybody waits for an answer: an inventory on its way in, a large file, a proof. What
  # it came to is kept with the act that it made, in one transaction, or not at all.
  class Task < ActiveRecord::Base
    self.table_name = "tasks"

    FINISHED = %w[done refused cancelled].freeze
    # How long a file that came of one is kept, and what was told of it, seconds.
    KEPT = 24 * 60 * 60
    TOLD = 30 * KEPT
    # Somebody said stop.
    class Cancelled < StandardError
    end

    class << self
      # By kind, what does the work: it gets the task and answers with a Result, or has kept one itself.
      attr_accessor :workers

      # @param kind [String]
      # @return [Task] waiting for its turn
      def give(project_id, kind, arguments, by:)
        raise ArgumentError, "nobody works “#{kind}”" unless workers.key?(kind)

        forget_old
        task =
          transaction do
            create!(id: SecureRandom.uuid, project_id:, kind:, arguments:, said_by: by).tap { |one| TaskJob.enqueue(one.id) }
          end
        task.reload
      end
    end

    # What must not leave this process is worked here at once, and by nobody else.
    #
    # @yieldparam task [Task]
    # @yieldreturn [Result]
    # @return [Task]
    def self.here(project_id, kind, arguments, by:, &work)
      task = create!(id: SecureRandom.uuid, project_id:, kind:, arguments:, said_by: by)
      Thread.new { ActiveRecord::Base.connection_pool.with_connection { find(task.id).work(&work) } }
      task
    end

    # Files can be made again, and are large; after a month nobody asks what became of them, nor of inventories that were brought.
    def self.forget_old
      now = Time.now.utc
      where(state: "done").where.not(content: nil).where("created_at < ?", now - KEPT).update_all(content: nil)
      where(state: FINISHED).where("created_at < ?", now - TOLD).delete_all
      Intake.where("created_at < ?", now - TOLD).delete_all
    end

    # What a task came to: plain values, and the +content+ of a file with its type and name.
    Result = Basalt::Value.of(:values, :content, :content_type, :file_name)

    def finished? = FINISHED.include?(state)

    # Does the work, whatever comes of it.
    def work(&own)
      update!(state: "running")
      result = (own || self.class.workers.fetch(kind)).call(self)
      keep(result) if result
    rescue Cancelled
      update!(state: "cancelled")
    rescue Basalt::Mistake => e
      update!(state: "refused", result: { reason: e.message })
    rescue ActiveRecord::ConnectionNotEstablished, ActiveRecord::ConnectionFailed
      # The database went away: it is taken up again when it is back.
      raise
    rescue StandardError => e
      warn e.full_message(highlight: false)
      update!(state: "refused", result: { reason: "Something went wrong here. Nothing was kept." })
    end

    # @param result [Result]
    def keep(result)
      update!(
        state: "done",
        done: total,
        result: result.values,
        content: result.content,
        content_type: result.content_type,
        file_name: result.file_name
      )
    end

    # How far it is; on the way, whether it is still wanted.
    #
    # @raise [Cancelled]
    def report(done = self.done, total = self.total)
      raise Cancelled if self.class.where(id:).pick(:cancelled)

      update!(done:, total:)
    end

    # What is not through is stopped at its next step.
    def cancel = self.class.where(id:, state: %w[waiting running]).update_all(cancelled: true)

    # Waits a moment for what may be quick.
    #
    # @param seconds [Numeric]
    # @return [Task] as it is then
    def wait(seconds)
      ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
      sleep(0.03) && reload until finished? || Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends
      self
    end
  end
end
