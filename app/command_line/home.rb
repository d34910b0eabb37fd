# frozen_string_literal: true

require "fileutils"

module CommandLine
  # The folder where data lives.
  class Home
    def self.default
      return "/var/lib/basalt" if Process.uid.zero?

      File.join(ENV.fetch("XDG_DATA_HOME", File.join(Dir.home, ".local/share")), "basalt")
    end

    def initialize(path = ENV.fetch("BASALT_HOME", nil))
      @path = File.expand_path(path.to_s.empty? ? Home.default : path)
      FileUtils.mkdir_p(@path)
    rescue SystemCallError => e
      raise Basalt::Mistake, "The folder for data cannot be made: #{e.message}. BASALT_HOME names another."
    end

    attr_reader :path

    def file(name) = File.join(path, name)

    # A secret that stays the same from one start to the next.
    def secret(name)
      file = file(name)
      File.open(file, File::WRONLY | File::CREAT | File::EXCL, 0o600) { |f| f.write(SecureRandom.hex(64)) } unless File.exist?(file)
      File.read(file)
    end

    # Holds the folder in use with others; +alone?+ tells when nobody else does.
    def use
      @use = File.open(file("in-use"), File::RDWR | File::CREAT, 0o644)
      @use.flock(File::LOCK_SH)
    end

    def alone?
      @use.flock(File::LOCK_EX | File::LOCK_NB) == 0
    end

    # One at a time does the setting up.
    def set_up
      File.open(file("setting-up"), File::RDWR | File::CREAT, 0o644) do |lock|
        lock.flock(File::LOCK_EX)
        yield
      end
    end
  end
end
