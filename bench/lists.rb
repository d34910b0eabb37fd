# frozen_string_literal: true

# The drawing register of a project of many sheets, its small pictures, and what is offered at the statement line among many names.
class ListsBench
  SHEETS = 200
  NAMES = 5_000
  TURNS = 20

  def initialize(&report)
    @report = report
    @browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
  end

  def run
    register
    completion
  end

  private

  def timed =
    Process
      .clock_gettime(Process::CLOCK_MONOTONIC)
      .then { |began| yield.then { (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000 } }

  def began(name, text)
    Store::Project.open(name).tap do |project|
      Store::ProjectSession.for(project.id).open do |open|
        open.act(said: "began", by: "bench") { |draft| Basalt::Statements::Document.new(text).into(draft) }
      end
    end
  end

  def get(path)
    @browser.get(path)
    abort "#{path}: #{@browser.last_response.status}" unless @browser.last_response.ok?
    @browser.last_response.body
  end

  # Each time after somebody altered one of the sheets.
  def register
    project = began("Many sheets", Array.new(SHEETS) { |n| sheet(n) }.join("\n"))
    path = "/projects/#{project.id}"
    pages = Array.new(TURNS) { |n| alter(project, n).then { timed { get(path) } } }
    @report.call("drawing register, after an act", SHEETS, *pages)
    pictures = get(path).scan(/src="([^"]*thumbnail.svg)"/).flatten
    @report.call("its pictures, all of them first", SHEETS, timed { pictures.each { |one| get(one) } })
    again = Array.new(TURNS / 4) { |n| alter(project, n + TURNS).then { timed { pictures.each { |one| get(one) } } } }
    @report.call("its pictures, after an act", SHEETS, *again)
  end

  def sheet(number)
    things = Array.new(5) { |n| "server s#{number}-#{n}" }
    ["sheet Sheet #{number}: logical network", "subnet net-#{number} 10.0.#{number}.0/24", *things, "s#{number}-1 on net-#{number} at .4"]
  end

  def alter(project, number)
    Store::ProjectSession.for(project.id).open do |open|
      on = open.set.sheet_list[number].id
      open.act(said: "altered", by: "bench", sheet_id: on) { |draft| Basalt::Statements::Document.new("server late-#{number}").into(draft, sheet_id: on) }
    end
  end

  # @return [Array<Float>] ms of each letter
  def typed(open, sheet, line)
    (1..line.length).map do |length|
      timed { Web::Preview.new(open, sheet, line[0, length]).then { |offer| [offer.words, offer.hint, offer.ghost_svg] } }
    end
  end

  # Letter by letter, the words that could go on and what the statement would come to.
  def completion
    project = began("Many names", ["sheet S: logical network", *Array.new(NAMES) { |n| "server pump-#{n % 70}-#{n}" }].join("\n"))
    # Whoever types has been shown the sheet.
    Store::ProjectSession.for(project.id).then { |session| session.make_ready(session.open { |open| open.set.sheet_list.first.id }) }
    Store::ProjectSession.for(project.id).open do |open|
      sheet = open.set.sheet_list.first
      open.findings
      # The first line that a process is told loads what reads it.
      @report.call("a letter, the first line", NAMES, *typed(open, sheet, "rename pump-33-4233 to outlet"))
      @report.call("a letter at the statement line", NAMES, *typed(open, sheet, "rename pump-12-4212 to intake"))
    end
  end
end
