# frozen_string_literal: true

require "open3"
require "rbconfig"

# An account of ten thousand resources: its inventory read and stored, reach worked out, checked; brought in again with one in a hundred
# altered; and laid out with its boundaries.
class CloudsBench
  RESOURCES = 10_000
  CLOUD = Basalt::Cloud

  # @yieldparam name [String]
  # @yieldparam size [Integer]
  # @yieldparam samples [Array<Float>] ms
  def initialize(&report)
    @report = report
  end

  # A server that has served for a while has read accounts before.
  def run
    began("Bench small cloud")
    take(account(60))
    @session.open { |open| Basalt::Checks::Runner.new(open.set).findings }
    document, altered = account(RESOURCES), account(RESOURCES, 100)
    began("Bench cloud")
    taken = timed { take(document) }
    reach = timed { @session.open { |open| CLOUD::ModelLandscape.of(open.set).analysis.each.count } }
    checked = timed { @session.open { |open| Basalt::Checks::Runner.new(open.set).findings } }
    { "read and stored" => taken, "reach worked out" => reach, "checked" => checked }.each { |words, ms|
      @report.call("account: #{words}", RESOURCES, ms)
    }
    puts format("%-34s %8d %8d MB", "account: memory until here", RESOURCES, peak)
    @report.call("account: again, 1 % altered", RESOURCES, timed { take(altered) })
    @report.call("account: laid out", RESOURCES, timed { laid_out })
  end

  private

  # The most that the process came to hold, MB.
  def peak = File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024

  def began(name) = @session = Store::ProjectSession.for(Store::Project.open(name).id)

  def take(document)
    reader = CLOUD::Inventory::Reader.new(document)
    @session.open do |open|
      open.act(said: "brought in", by: "bench", patient: true) do |draft|
        CLOUD::Inventory::Intake.new(CLOUD::Inventory::Comparison.new(reader, draft), draft).take
      end
    end
  end

  # @return [String] JSON
  def account(*numbers)
    said, status = Open3.capture2(RbConfig.ruby, File.join(__dir__, "account.rb"), *numbers.map(&:to_s))
    status.success? ? said : abort("no account was made")
  end

  def laid_out
    @session.open do |open|
      draft = Basalt::Change::Draft.new(open.set)
      draft.apply(Basalt::Change::AddSheet.new(name: "All", notation: "cloud", id: draft.new_id))
      sheet = draft.sheet_list.last
      draft.of_kind(CLOUD::Kinds::BOUNDARY, CLOUD::Kinds::RESOURCE).each do |one|
        draft.apply(Basalt::Change::Show.new(sheet_id: sheet.id, element_id: one.id))
      end
      Basalt::Drawing::Arranger.new(draft, sheet.id).tidy(by_hand: true)
    end
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
end
