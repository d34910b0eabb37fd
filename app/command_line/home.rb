# frozen_string_literal: true

require "fileutils"

module CommandLine
  # The folder where data lives.
  class Home
    # Bytes of a secret; it is written as twice as many digits.
    SECRET = 64

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

    # A secret that stays the same from one start to the next; what is left of one that was lost is made anew.
    def secret(name)
      set_up do
        write(name, SecureRandom.hex(SECRET)) if !File.exist?(file(name)) || File.read(file(name)).strip.length < SECRET
        File.read(file(name)).strip
      end
    end

    # @return [Integer, nil] what a file holds, when it is a number
    def number(name) = File.exist?(file(name)) ? Integer(File.read(file(name)).strip, 10, exception: false) : nil

    # @raise [Basalt::Mistake] when another process serves what is in the folder
    # @param address [String] told to whoever tries the same
    def serve_alone(address)
      @serving = File.open(file("serving"), File::RDWR | File::CREAT, 0o644)
      unless @serving.flock(File::LOCK_EX | File::LOCK_NB)
        where = @serving.read.strip
        raise Basalt::Mistake,
              "Basalt serves #{path} already#{" at #{where}" unless where.empty?}. Stop it first, or name another folder in BASALT_HOME."
      end
      @serving.truncate(0)
      @serving.write(address)
      @serving.flush
    end

    # Holds the folder in use with others; +alone?+ tells when nobody else does.
    def use
      @use = File.open(file("in-use"), File::RDWR | File::CREAT, 0o644)
      @use.flock(File::LOCK_SH)
    end

    def alone?
      @use.flock(File::LOCK_EX | File::LOCK_NB) == 0
    end

    # Whole, or not at all.
    def write(name, text)
      File.write(file("#{name}.fresh"), text, perm: 0o600)
      File.rename(file("#{name}.fresh"), file(name))
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
