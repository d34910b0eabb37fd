# frozen_string_literal: true

require "rack/test"

# Five thousand racks and as many sheets: matched by name, linked in one act, matched again when all is linked, and a thing of one
# of them linked by hand; a map of sites whose circuits are many.
class LinkingBench
  RACKS = 5000
  TIMES = 5

  # @yieldparam name [String]
  # @yieldparam size [Integer]
  # @yieldparam samples [Array<Float>] ms
  def initialize(&report)
    @report = report
  end

  def run
    project = Store::Project.open("Bench links")
    session = Store::ProjectSession.for(project.id)
    session.open { |open| open.act(said: "began", by: "bench") { |draft| fill(draft) } }
    names
    @report.call("links: matched by name", RACKS, *times { proposal(session) })
    @report.call("links: made in one act", RACKS, timed { take(session) })
    @report.call("links: matched again", RACKS, *times { proposal(session) })
    @report.call("links: page of the proposal", RACKS, *times { page(project) })
  end

  private

  def times = Array.new(TIMES) { timed { yield } }

  # Racks beside each other; sheets that are called nearly as they are. They are put there without a search for free numbers.
  def fill(draft)
    RACKS.times do |n|
      draft.apply(Basalt::Change::Add.new(kind: "place", name: "R#{n}", facts: { "level" => "rack" }))
      draft.apply(Basalt::Change::AddSheet.new(name: "r-#{n.to_s.rjust(5, "0")} elevation", notation: "rack", number: "B-#{n}"))
    end
  end

  # The matching alone.
  def names
    things = (0...RACKS).to_h { |n| ["t#{n}", "R#{n}"] }
    sheets = (0...RACKS).to_h { |n| ["s#{n}", "r-#{n.to_s.rjust(5, "0")} elevation"] }
    @report.call("links: names alone", RACKS, *times { Basalt::Linking::Matching.new(things, sheets, without: ["elevation"]) })
  end

  def proposal(session)
    session.open { |open| Basalt::Linking::ByName.new(open.set, noun: "rack", without: ["elevation"]) }
  end

  def take(session)
    session.open do |open|
      open.act(said: "linked", by: "bench") do |draft|
        draft.apply(Basalt::Linking::ByName.new(draft, noun: "rack", without: ["elevation"]).changes)
      end
    end
  end

  def page(project)
    @browser ||= Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    @browser.get("/projects/#{project.id}/links/preview?noun=rack&without=elevation").ok? || abort(@browser.last_response.body)
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
end
