# frozen_string_literal: true

# How much memory a process that serves comes to hold, and how many connections to the database:
# after exports, several at a time; after projects of many elements were opened; after a large inventory.
class MemoryBench
  EXPORTS = 192
  AT_ONCE = 4
  PROJECTS = 12
  ELEMENTS = 5_000
  # By which the database knows its connections.
  NAME = "basalt-bench-memory"
  TYPES = %w[svg png jpg pdf].freeze

  # In a process of its own, since a benchmark holds much itself.
  #
  # @param url [String] of the database
  def self.run(url)
    system({ "DATABASE_URL" => url }, "ruby", *ENV.fetch("RUBY_FLAGS", "").split, __FILE__, exception: true)
  end

  def measure
    puts format("\n%-44s %8s %12s", "memory of a serving process", "MB", "connections")
    say "all code loaded"
    project = began("Memory sample", File.read(File.join(__dir__, "../demo/tarnwater.basalt")))
    export(project)
    PROJECTS.times { |n| page(began("Memory #{n}", names(n))) }
    say "#{PROJECTS} projects of #{ELEMENTS} elements opened"
    inventory
    export(project)
  end

  private

  def say(words)
    GC.start
    held =
      ActiveRecord::Base
        .connection
        .select_value("SELECT count(*) FROM pg_stat_activity WHERE pid <> pg_backend_pid() AND application_name = '#{NAME}'")
        .to_i + 1
    puts format("%-44s %8.0f %12d", words, File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024.0, held)
    $stdout.flush
  end

  def began(name, text)
    Store::Project
      .open(name)
      .tap do |project|
        Store::ProjectSession
          .for(project.id)
          .open do |project_session|
            project_session.act(said: "began", by: "bench") do |draft|
              Basalt::Statements::Document.new(text).into(draft)
              draft.sheet_list.each { |sheet| Basalt::Drawing::Arranger.new(draft, sheet.id).tidy }
            end
          end
      end
  end

  def names(number) =
    (
      ["project Memory #{number}", "sheet S: requirements"] +
        Array.new(ELEMENTS / 2) { |n| "requirement R#{n}: A person can do what is number #{n}." }
    ).join("\n")

  def session = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
  def sheets(project) = Store::ProjectSession.for(project.id).open { |project_session| project_session.set.sheet_list.map(&:id) }
  def page(project) = session.get("/projects/#{project.id}/sheets/#{sheets(project).first}")

  def export(project)
    ids = sheets(project)
    jobs = Queue.new
    EXPORTS.times { |n| jobs << "/projects/#{project.id}/sheets/#{ids[n % ids.length]}/export.#{TYPES[(n / ids.length) % TYPES.length]}" }
    jobs.close
    Array
      .new(AT_ONCE) do
        Thread.new do
          browser = session
          while (address = jobs.pop)
            browser.get(address)
            abort browser.last_response.body unless browser.last_response.ok?
          end
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end
      end
      .each(&:join)
    say "after #{EXPORTS} exports, #{AT_ONCE} at a time"
  end

  def inventory
    rows = Array.new(ELEMENTS) { |n| "thing-#{n},server,Net #{n / 200} 10.#{20 + (n / 200)}.0.0/16,10.#{20 + (n / 200)}.1.#{n % 200},,," }
    content = (["name,role,subnet,address,gateway,location,note"] + rows).join("\n")
    project = Store::Project.open("Memory inventory")
    mapping = Basalt::Network::Inventory::Subjects::THINGS.guess(Basalt::Formats::CSV.new(content).headings)
    intake = Store::Intake.create!(id: SecureRandom.uuid, project_id: project.id, content:, file_name: "things.csv", mapping:)
    Store::Task.give(project.id, "inventory", { intake_id: intake.id, sheet_name: "Inventory" }, by: "bench")
    say "an inventory of #{ELEMENTS} rows brought in"
  end
end

if $PROGRAM_NAME == __FILE__
  require_relative "../config/load"
  require_relative "../test/support/at_once"
  require "rack/test"
  url = ENV.fetch("DATABASE_URL")
  Store::Database.connect("#{url}#{url.include?("?") ? "&" : "?"}application_name=#{MemoryBench::NAME}")
  MemoryBench.new.measure
end
