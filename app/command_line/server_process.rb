# frozen_string_literal: true

module CommandLine
  # The PostgreSQL process of a folder of data, as its own file tells of it. The file outlives a power cut, and
  # the number in it may belong to another process by then: what does not work in this folder is not ours.
  class ServerProcess
    # Lines of postmaster.pid, from 0 (PostgreSQL 15, src/include/utils/pidfile.h).
    PID = 0
    PORT = 3

    # @param data [String] the folder
    def initialize(data)
      @data = data
    end

    def running? = !pid.nil? && ours?

    # @return [Integer, nil] where the running one listens
    def port = running? ? number(PORT) : nil

    # Removes the file of a process that is gone, which would keep the server from starting.
    def forget
      FileUtils.rm_f(file) unless running?
    end

    private

    def file = File.join(@data, "postmaster.pid")
    def lines = File.exist?(file) ? File.readlines(file, chomp: true) : []
    def number(line) = Integer(lines[line].to_s.strip, 10, exception: false)
    def pid = number(PID)&.then { |number| number if number.positive? }

    # A server works in the folder of its data.
    def ours?
      File.realpath("/proc/#{pid}/cwd") == File.realpath(@data)
    rescue SystemCallError
      # Gone, or somebody else's: the server of this folder would be of the same user.
      false
    end
  end
end
