# frozen_string_literal: true

require "active_record"

# For tests and benchmarks: a task is worked before whoever gave it goes on, without the queue.
module AtOnce
  def give(...) = super.tap { |task| task.work.then { task.reload } }
end

Store::Task.singleton_class.prepend(AtOnce)
Store::TaskJob.define_singleton_method(:enqueue) { |*| nil }
Store::Queue.prepare(workers: Web::Tasks.workers)
