# frozen_string_literal: true

require "socket"

module App
  # The address at which the server listens (BIND).
  module BindAddress
    # Addresses that stand for all of the machine's.
    ANY = %w[0.0.0.0 ::].freeze

    module_function

    # As it stands in the address of a page; of all addresses the name of this machine.
    def host(bind)
      own = ANY.include?(bind) ? Socket.gethostname : bind
      own.include?(":") ? "[#{own}]" : own
    end

    # Can others on the network reach it? Then whoever does may change everything: there is no sign-in yet.
    def open?(bind) = !(bind.empty? || bind == "localhost" || bind == "::1" || bind.start_with?("127."))
  end
end
