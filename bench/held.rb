# frozen_string_literal: true

require_relative "../config/load"

# Run as a program: tells how much more memory a process holds, MB, when it has opened a project.
#
#     ruby bench/held.rb DATABASE PROJECT
rss = -> { 3.times { GC.start }.then { File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024 } }
Store::Database.connect(ARGV[0])
Basalt::Model::Catalogue.notations
before = rss.call
held = Store::ProjectSession.for(ARGV[1]).open(&:set)
print rss.call - before if held
