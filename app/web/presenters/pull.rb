# frozen_string_literal: true

module Web
  module Presenters
    # How far something is that is read elsewhere for somebody who gave what it needs on a page. That is kept nowhere, so that what was
    # broken off with its process is not taken up again.
    class Pull
      # What is not through by then was broken off, seconds.
      LOST = 900

      # @param task [Store::Task]
      def initialize(task)
        @task = task
      end

      def id = @task.id
      def state = lost? ? "lost" : @task.state
      def finished? = @task.finished? || lost?
      def done = @task.done.to_i
      def total = [@task.total.to_i, 1].max
      def reason = @task.result&.fetch("reason", nil)

      # @return [String, nil] what came, once it is there
      def intake_id = @task.state == "done" ? @task.result["intake_id"] : nil

      private

      def lost? = !@task.finished? && @task.created_at < Time.now.utc - LOST
    end
  end
end
