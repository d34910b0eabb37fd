# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/random_acts"
require "minitest/mock"
require "open3"
require "timeout"

# Two processes act on one project in turns: each follows what the other did, act by act.
class TwoProcessesTest < Minitest::Test
  include AppHelper

  ACTS = 100

  def setup
    super
    @project = project(GeneratedNetwork.new(4, subnets: 2, things: 7).text)
    @path = File.expand_path("../support/random_acts.rb", __dir__)
  end

  def other_process(seed)
    Open3.popen2({ "DATABASE_URL" => ENV.fetch("DATABASE_URL") }, "ruby", @path, @project.id, seed.to_s) do |input, output, _|
      yield(-> { Timeout.timeout(60) { input.puts("act").then { Integer(output.gets.to_s.strip) } } })
    end
  end

  def test_each_sees_what_the_other_did_and_reads_nothing_whole_again
    seed = ENV.fetch("SEED", rand(1_000_000)).to_i
    mine = RandomActs.new(@project.id, seed, "mine")
    session.open(&:findings)
    other_process(seed + 1) do |other|
      Store::Snapshot.stub(:read, ->(_) { flunk "read whole again, SEED=#{seed}" }) do
        (ACTS / 2).times do |n|
          mine.act
          version = other.call
          in_step(version, "SEED=#{seed}, pair #{n}")
        end
      end
    end
  end

  def session = Store::ProjectSession.for(@project.id)

  # What this process holds is what a process that only began now would hold.
  def in_step(version, message)
    fresh = Store::Snapshot.new(@project.id).read
    session.open do |view|
      assert_equal version, view.set.version, message
      assert_equal [fresh.project, rows(fresh)], [view.set.project, rows(view.set)], message
      assert_equal found(Basalt::Checks::FindingsByWaiver.new(fresh, Basalt::Checks::Runner.new(fresh).findings)),
                   found(view.findings_by_waiver),
                   message
      fresh.sheet_list.each do |sheet|
        assert_equal statistics(Basalt::Drawing::SheetStatistics.new(fresh, sheet.id)), statistics(view.contents(sheet.id)), message
      end
    end
  end

  def found(findings) = [findings.open, findings.waived].map { |list| list.map { |one| [one.key, one.message] }.sort }
  def statistics(one) = [one.counts, one.emphases, one.extent]
end
