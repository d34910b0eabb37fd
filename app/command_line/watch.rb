# frozen_string_literal: true

module CommandLine
  # Looks after the application's own database server while it serves: one that was killed is started again, and whoever
  # was connected finds it where it was.
  class Watch
    # Seconds between two looks.
    EVERY = 1

    # @param cluster [Cluster]
    def initialize(cluster, err)
      @cluster = cluster
      @err = err
    end

    # Looks from now on.
    def begin
      @thread = Thread.new { loop { sleep(EVERY).then { look } } }
    end

    # Looks no more: whoever stops the server means it.
    def end
      @thread&.kill&.join
    end

    # Starts the server again when it is gone.
    def look
      return if @cluster.running?

      url = @cluster.start
      Store::Database.reconnect(url)
      @err.puts "The database server was gone and has been started again."
    rescue Basalt::Mistake, PG::Error => e
      @err.puts "The database server is gone and could not be started: #{e.message.lines.first.strip}"
    end
  end
end
