# frozen_string_literal: true

module Basalt
  module Cloud
    # What a resource is there for, by neutral names of the trade; a longer name stands before one that it begins with.
    module Services
      # With other words by which each is found.
      SYNONYMS = {
        "machine group" => ["scaling group", "fleet", "pool of machines", "node group"],
        "machine" => ["virtual machine", "instance", "server", "host", "vm", "compute"],
        "function" => ["serverless", "handler", "worker"],
        "container service" => ["pods", "containers", "orchestrator", "cluster"],
        "load balancer" => ["balancer", "listener"],
        "edge cache" => ["content delivery", "cdn", "distribution"],
        "internet gateway" => ["gateway", "way to the internet"],
        "address translation" => ["nat", "way out"],
        "private attachment" => ["vpn", "tunnel", "leased line", "site link"],
        "API front" => ["api", "endpoint", "front door", "rest"],
        "object store" => ["blobs", "bucket", "files by key"],
        "file store" => ["share", "nfs", "volume", "disk"],
        "relational store" => ["database", "sql", "tables"],
        "key-value store" => ["documents", "nosql", "wide rows"],
        "cache" => ["memory store", "session store"],
        "queue" => ["mailbox", "buffer", "jobs"],
        "topic" => ["notifications", "fan-out", "publish", "subject"],
        "stream" => ["event log", "events", "firehose", "bus"],
        "identity service" => ["login", "sign-in", "users", "directory"],
        "mail sender" => ["email", "smtp", "mail"],
        "name service" => ["dns", "names", "domain"],
        "secret store" => ["keys", "passwords", "vault", "certificates"],
        "scheduler" => ["cron", "timer", "clock"],
        "log store" => ["logs", "metrics", "traces", "audit trail"],
        "access list" => ["acl", "subnet rules"],
        "route table" => ["routes", "routing"],
        "internet" => ["anybody", "the public"],
        "client" => ["browser", "user", "device", "app"]
      }.freeze

      ALL = SYNONYMS.keys.freeze

      # Ways out of a network.
      GATEWAY = "internet gateway"
      TRANSLATION = "address translation"
      LIST = "access list"
      TABLE = "route table"
      INTERNET = "internet"
      OUTSIDE = [INTERNET, "client"].freeze
      # What rules are about that are no running service.
      PAPERS = [LIST, TABLE].freeze
      # What nobody comes by who does something, though it may have to be there.
      UNWALKED = [*PAPERS, GATEWAY, TRANSLATION, "private attachment", INTERNET].freeze
      STORES = ["object store", "file store", "relational store", "key-value store", "cache"].freeze
      # What runs in a subnet and has an address there.
      PLACED = ["machine", "machine group", "container service", "load balancer", "relational store", "cache", "file store"].freeze

      # By what a service does for others.
      SEAMS = {
        slate: ["queue", "topic", "stream", "scheduler", "log store"],
        ochre: ["load balancer", GATEWAY, TRANSLATION, "private attachment", "name service", "edge cache", "API front", TABLE],
        rust: [LIST, "secret store"],
        lichen: ["machine", "machine group", "function", "container service", "mail sender"],
        tide: STORES,
        amethyst: ["identity service", "client"]
      }.flat_map { |seam, services| services.map { |service| [service, seam] } }.to_h.freeze
    end
  end
end
