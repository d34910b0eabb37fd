# frozen_string_literal: true

module CommandLine
  # Works tasks of the queue, beside the process that serves does.
  class Work < Command
    USAGE = "bin/basalt work"
    SUMMARY = "One more process for what takes long (inventories, large files, proofs); bin/basalt start has one. Ctrl-C stops it."

    private

    def act
      Home.new.tap(&:use).then { |home| connect(ENV.fetch("DATABASE_URL", nil) || Cluster.new(home).start) }
      locker = Store::Queue.work
      out.puts "Basalt works the queue (Ctrl-C stops it)"
      out.flush
      sleep
    rescue SignalException
      locker&.stop!
      130
    end

    def connect(url)
      Store::Database.connect(url)
      Store::Database.migrate
      Store::Queue.prepare(workers: Web::Tasks.workers)
    rescue ActiveRecord::ConnectionNotEstablished, ActiveRecord::NoDatabaseError => e
      raise Basalt::Mistake, "The database cannot be reached: #{e.message.lines.first.strip}"
    end
  end
end
