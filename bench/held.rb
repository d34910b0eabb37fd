# frozen_string_literal: true

require_relative "../config/load"

# Run as a program: tells how much more memory a process holds, MB, when it has opened a project, and how long that took, ms.
#
#     ruby bench/held.rb DATABASE PROJECT
rss = -> { 3.times { GC.start }.then { File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024 } }
Store::Database.connect(ARGV[0])
Basalt::Model::Catalogue.notations
Store::Project.find(ARGV[1])
before = rss.call
began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
held = Store::ProjectSession.for(ARGV[1]).open(&:set)
took = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
puts rss.call - before, took if held
