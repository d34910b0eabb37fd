# frozen_string_literal: true

require "open3"

# A project of very many elements: how long it takes to open and how much it holds, what another project's page waits for
# meanwhile, an edit, its findings and a completion in it.
class LargeBench
  ELEMENTS = 100_000
  SHEET = 2_000
  # Hosts of one subnet.
  HOSTS = 200
  EDITS = 20

  # @param url [String] of the database
  def initialize(url, &report)
    @url = url
    @report = report
  end

  def run
    project = filled
    session = Store::ProjectSession.for(project.id)
    held, took = alone(project)
    @report.call("large: opened", ELEMENTS, took)
    puts format("%-34s %8d %8d MB more", "large: memory", ELEMENTS, held)
    waited = meanwhile { @report.call("large: opened beside a busy one", ELEMENTS, timed { session.open(&:set) }) }
    @report.call("large: a page of another project meanwhile", ELEMENTS, waited)
    work(session)
  end

  private

  HELD = File.join(__dir__, "held.rb").freeze
  private_constant :HELD

  # @return [Array(Integer, Float)] MB that another process holds more when it has opened the project, and how long that took, ms
  def alone(project)
    said, status = Open3.capture2("ruby", *ENV.fetch("RUBY_FLAGS", "").split, HELD, @url, project.id)
    return said.lines.map(&:to_f) if status.success?

    abort("opening a large project was not measured")
  end

  def timed =
    Process
      .clock_gettime(Process::CLOCK_MONOTONIC)
      .then { |began| yield.then { (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000 } }

  # The longest that a page of a small project takes while the block runs, ms.
  def meanwhile
    small = Store::Project.open("Small")
    Store::ProjectSession
      .for(small.id)
      .open do |view|
        view.act(said: "began", by: "bench") do |draft|
          Basalt::Statements::Document.new("sheet S: logical network\nserver a").into(draft)
        end
      end
    browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
    browser.get("/projects/#{small.id}")
    longest = 0
    done = false
    pages = Thread.new { longest = [longest, timed { browser.get("/projects/#{small.id}") }].max until done }
    yield
    done = true
    pages.join
    longest
  end

  def work(session)
    @report.call("large: findings, all", ELEMENTS, timed { session.open(&:findings) })
    edits = []
    later = []
    completions = []
    EDITS.times do |n|
      session.open do |view|
        sheet = view.set.sheet_list[n % 10]
        # Whoever acts on a sheet was shown it before.
        session.make_ready(sheet.id)
        edits << timed do
          view.act(said: "edit", by: "bench", sheet_id: sheet.id) do |draft|
            Basalt::Statements::Document.new("rename host-#{n * 37} to renamed-#{n}").into(draft, sheet_id: sheet.id)
          end
        end
        later << timed { view.findings }
        completions << timed do
          Web::Preview.new(view, sheet, "host-#{n}1").then { |preview| [preview.words, preview.hint, preview.ghost] }
        end
      end
    end
    @report.call("large: an edit", ELEMENTS, *edits)
    @report.call("large: findings after it", ELEMENTS, *later)
    @report.call("large: a completion", ELEMENTS, *completions)
  end

  def filled
    Store::Project
      .open("Large")
      .tap do |project|
        draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
        made = 0
        sheet = nil
        while made < ELEMENTS
          sheet = open_sheet(draft, made) if (made % SHEET).zero?
          made += subnet(draft, sheet, made)
        end
        effect = draft.effect
        Store::Repository.new(project.id, said_by: "bench").commit(effect, said: "began")
      end
  end

  def open_sheet(draft, made)
    draft.put(
      :sheets,
      Basalt::Model::Sheet.new(
        id: draft.new_id,
        name: "Sheet #{made / SHEET}",
        notation_name: "logical network",
        band: "Logical",
        number: "LA-L-#{made / SHEET}"
      )
    ).id
  end

  def subnet(draft, sheet, made)
    number = made / (2 * HOSTS)
    net = element(draft, "subnet", "Net #{number}", { "prefix" => "10.#{number / 250}.#{number % 250}.0/24" })
    place(draft, sheet, net, x: 0, y: number * 400, w: 900, h: 30)
    HOSTS.times do |n|
      host = element(draft, "device", "host-#{(number * HOSTS) + n}", { "role" => "server" })
      place(draft, sheet, host, x: (n % 20) * 160, y: (number * 400) + 100 + ((n / 20) * 60), w: 140, h: 44)
      line =
        element(
          draft,
          "attachment",
          nil,
          { "address" => "10.#{number / 250}.#{number % 250}.#{n + 2}" },
          ends:
            [["thing", host.id], ["subnet", net.id]].map { |role, target_id| Basalt::Model::End.new(role:, target_id:, facts: {}.freeze) }
        )
      place(
        draft,
        sheet,
        line,
        route: {
          "points" => [[(n % 20) * 160, number * 400], [(n % 20) * 160, (number * 400) + 100]],
          "labels" => {}
        }
      )
    end
    2 * HOSTS
  end

  def element(draft, kind, name, facts, ends: []) =
    draft.put(:elements, Basalt::Model::Element.new(id: draft.new_id, kind:, name:, facts:, ends:))

  def place(draft, sheet_id, element, **where) =
    draft.put(:placements, Basalt::Model::Placement.new(id: draft.new_id, sheet_id:, element_id: element.id, by_hand: true, **where))
end
