# frozen_string_literal: true

require "socket"

module CommandLine
  # Serves the application.
  class Start < Command
    USAGE = "bin/basalt start [--empty]"
    SUMMARY = "Sets up what is missing and serves the application on loopback. PORT, DATABASE_URL and BASALT_HOME override."
    PORT = 7373

    def describe(parser)
      super
      parser.on("--empty", "without the sample project") { options[:empty] = true }
    end

    private

    def act
      home = Home.new
      home.use
      refuse_taken_port
      home.serve_alone("http://127.0.0.1:#{port}/")
      cluster = Cluster.new(home) unless ENV["DATABASE_URL"]
      open_database(cluster ? cluster.start : ENV.fetch("DATABASE_URL"), own: !cluster.nil?)
      watch = Watch.new(cluster, err).tap(&:begin) if cluster
      crew = Crew.new.tap(&:begin)
      @told = (stand_ins = StandIns.new(port)).begin unless options[:empty]
      serve(home)
      0
    rescue SignalException
      130
    ensure
      stand_ins&.end
      crew&.end
      watch&.end
      cluster&.stop
    end

    def port
      Integer(ENV.fetch("PORT", PORT.to_s), 10).tap { |number| raise ArgumentError unless number.between?(1, 65_535) }
    rescue ArgumentError
      raise Basalt::Mistake, "PORT is a number from 1 to 65535, not “#{ENV.fetch('PORT')}”"
    end

    def refuse_taken_port
      TCPServer.open("127.0.0.1", port).close
    rescue Errno::EADDRINUSE
      raise Basalt::Mistake, "Port #{port} is in use already. PORT=NUMBER bin/basalt start takes another."
    rescue Errno::EACCES
      raise Basalt::Mistake, "Port #{port} may not be used by this user. PORT=NUMBER bin/basalt start takes another."
    end

    def open_database(url, own:)
      Store::Database.connect(url, own:)
      Store::Database.migrate
      Store::Queue.prepare(workers: Web::Tasks.workers)
      bring_sample unless options[:empty] || Store::Project.any?
    rescue ActiveRecord::ConnectionNotEstablished, ActiveRecord::NoDatabaseError => e
      raise Basalt::Mistake, "The database cannot be reached: #{e.message.lines.first.strip}"
    end

    # A sample that speaks of a family that is not here is left out.
    def bring_sample
      Demo.load
    rescue Basalt::Statements::Misread => e
      err.puts "The sample was left out, since not all of it is understood here: #{e.message.lines.first.strip}"
    end

    def announce
      out.puts "Basalt serves http://127.0.0.1:#{port}/ (Ctrl-C stops it)", *@told
      out.flush
    end

    def serve(home)
      require "puma"
      require "puma/configuration"
      require "puma/launcher"
      app = Web::Application.with(secret: home.secret("session-secret"))
      configuration = Puma::Configuration.new do |puma|
        puma.bind "tcp://127.0.0.1:#{port}"
        puma.threads 2, 8
        puma.http_content_length_limit Web::RequestGuard::DOCUMENT
        puma.app app
        puma.quiet
        puma.environment "production"
      end
      launcher = Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.new(StringIO.new, err))
      launcher.events.after_booted { announce }
      launcher.run
    end
  end
end
