"""What goes over the wire beside the services' own models: what is asked, and what is put together for the page."""
